# frozen_string_literal: true

require_relative "config/boot"
require "rack/session"
require "rack/protection"
LOADER.eager_load

use Rack::Static, root: File.join(Rungs::ROOT, "public"), urls: ["/assets", "/fonts", "/favicon.svg"],
                  header_rules: [[:all, { "cache-control" => "public, max-age=31536000", "x-content-type-options" => "nosniff" }]]
use Rack::Static, root: File.join(Rungs::ROOT, "public"), urls: ["/sw.js"], header_rules: [[:all, { "cache-control" => "no-cache", "x-content-type-options" => "nosniff" }]]
use Pages::Shared::ErrorPages
use Rack::Protection::ContentSecurityPolicy, default_src: "'none'", script_src: "'self'", style_src: "'self'", img_src: "'self' data: blob:",
                                             font_src: "'self'", connect_src: "'self'", form_action: "'self'", base_uri: "'none'", frame_ancestors: "'none'"
use Rack::Protection::FrameOptions, frame_options: "DENY"
use Rack::Protection::XSSHeader
use Rack::Protection::ReferrerPolicy, referrer_policy: "same-origin"
use Rack::Protection::HostAuthorization, permitted_hosts: Settings::LOOPBACK, logging: false if Settings.loopback?
use Pages::Shared::CleanInput
use Rack::Session::Cookie, key: "rungs.session", secret: Settings.session_secret, same_site: :lax, httponly: true, secure: ENV["RUNGS_HTTPS"] == "1"
use Pages::Shared::Forgery
use Pages::Account::SignIn

{ "/today" => Pages::Today, "/plan" => Pages::Plan, "/board" => Pages::Board, "/listen" => Pages::Listen, "/climb" => Pages::Climb,
  "/account" => Pages::Account, "/gallery" => Pages::Gallery, "/b" => Pages::Projector,
  "/check-in" => Pages::CheckIn, "/share" => Pages::Share, "/lesson" => Pages::Lessons, "/strings" => Pages::Strings, "/photos" => Pages::Photos,
  "/numbers" => Pages::Numbers, "/hear" => Pages::Hear, "/groups" => Pages::Groups, "/back" => Pages::Back, "/notes" => Pages::Notes,
  "/looks" => Pages::Looks, "/" => Pages::Home }.each do |path, tab|
  map(path) { run tab::Routes }
end
