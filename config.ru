# frozen_string_literal: true

require_relative "config/boot"
require "rack/session"
require "rack/protection"
require "rack/timeout/core"
LOADER.eager_load

# Open streams end with the process that has them.
Ending.at { Live::LessonEvents.instance.stop }

# What says who asked, and by which name, is believed only from a proxy that is known to be there.
unless Settings.proxy?
  Rack::Request.forwarded_priority = []
  Rack::Request.ip_filter = ->(_) { false }
end

public_folder = File.join(Rungs::ROOT, "public")
as_it_says = { "x-content-type-options" => "nosniff" }
kept = [[:all, { "cache-control" => "public, max-age=31536000, immutable", **as_it_says }]]
asked_anew = [[:all, { "cache-control" => "no-cache", **as_it_says }]]
use Pages::Shared::Health
use Pages::Shared::Measured, Pages::Places::ALL.keys if Metrics.address || Log.lines?
use Rack::Deflater, include: %w[text/html text/css text/javascript text/plain image/svg+xml]
use Rack::Static, root: public_folder, urls: ["/assets", "/fonts", "/favicon.svg"], header_rules: kept
use Rack::Static, root: public_folder, urls: ["/sw.js"], header_rules: asked_anew
use Pages::Shared::ServerTime
use Pages::Shared::ErrorPages
use Pages::Shared::Size
use Rack::TempfileReaper
use Rack::Timeout, service_timeout: Settings.deadline, wait_timeout: false
use Rack::Protection::ContentSecurityPolicy,
    default_src: "'none'", script_src: "'self'", style_src: "'self'", img_src: "'self' data: blob:", font_src: "'self'",
    connect_src: "'self'", form_action: "'self'", base_uri: "'none'", frame_ancestors: "'none'"
use Rack::Protection::FrameOptions, frame_options: "DENY"
use Rack::Protection::XSSHeader
use Rack::Protection::ReferrerPolicy, referrer_policy: "same-origin"
use Rack::Protection::HostAuthorization, permitted_hosts: Settings.hosts, logging: false
use Rack::Protection::StrictTransport if Settings.https?
use Pages::Shared::CleanInput
use Pages::Shared::Cookie, key: "rungs.session", secret: Settings.session_secret, same_site: :lax, httponly: true,
                           secure: Settings.https?
use Pages::Shared::Pace
use Pages::Shared::Forgery
use Pages::Account::SignIn
use Pages::Shared::Once

Pages::Places::ALL.each { |path, tab| map(path) { run tab::Routes } }
