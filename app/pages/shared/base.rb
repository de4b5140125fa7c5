# frozen_string_literal: true

require "forwardable"
require "sinatra/base"
require "tilt/erubi"

module Pages
  module Shared
    # What all tabs share: views, the signed-in person, their class, and how a request is refused.
    class Base < Sinatra::Base
      # A request that cannot be carried out, with the reason a teacher reads.
      class Refusal < StandardError; end

      # Something that only others in the class may do; the message says what.
      class NotAllowed < StandardError; end

      VIEWS = File.join(Rungs::ROOT, "app/pages")

      set :views, VIEWS
      set :erb, escape_html: true
      set :show_exceptions, false
      # A refusal says what was typed; that goes to who typed it, not into a log.
      set :dump_errors, false
      set :raise_errors, true
      set :static, false
      set :host_authorization, { permitted_hosts: [] }
      disable :protection, :sessions, :logging
      helpers Helpers, Belonging

      helpers do
        extend Forwardable

        def_delegators :visitor, :account_id, :person, :role, :may?, :substitute?, :visit, :htmx?, :home
        def_delegators :class_day, :today, :evidence, :lesson_today, :coming_day, :next_school_day

        # @return [Visitor]
        def visitor = @visitor ||= Visitor.of(env)

        # @return [ClassDay]
        def class_day = room && visitor.class_day

        # Where a form said one comes back to, where that is one of these pages; else the first.
        def back_to(*pages)
          back = params[:back].to_s
          return pages.first unless back.match?(/\A[!-~]+\z/)

          pages.any? { |page| back == page || back.start_with?("#{page}?", "#{page}#") } ? back : pages.first
        end

        # What is sent is a file of that kind and name.
        # @param shown [Boolean] whether the browser shows it; else it is saved
        def as_file(name, type, shown: false)
          headers "content-type" => type,
                  "content-disposition" => "#{shown ? 'inline' : 'attachment'}; filename=#{name}"
        end

        # Tells the page, once it is so, that what it sent is kept: only then does a tap leave the device.
        def say_kept = yield.tap { headers "rungs-kept" => "yes" }

        # Draws a page, in what every page has around it.
        def show(page) = page.in_frame(looks_only: looks_only?)

        def refuse(reason) = raise(Refusal, reason)

        # Lists of ids are for programs; ranges of numbers are not.
        def without_ids(text) = text.sub(/must be one of: (?!\d+ - \d).*/m, "is none that there is")

        # Parameters through a contract; refused with every reason where they do not fit.
        def checked(contract)
          result = contract.call(params.to_h)
          return result.to_h if result.success?

          wrong = result.errors(full: true).map { |message| Rungs.capital(without_ids(message.text)) }
          refuse("#{wrong.uniq.join('. ')}.")
        end
      end

      before do
        I18n.locale = I18n.default_locale
        headers "cache-control" => "no-store"
      end

      error Refusal, Rungs::Error do |error|
        next [422, { "content-type" => "text/plain; charset=utf-8" }, [error.message]] if htmx?

        ErrorPages.page(422, error.message)
      end

      error(Records::Gone) { halt 404 }

      # What only others in the class may do.
      error NotAllowed do |error|
        words = "Only somebody else in this class may #{error.message}."
        htmx? ? [403, { "content-type" => "text/plain; charset=utf-8" }, [words]] : ErrorPages.page(:not_allowed, words)
      end

      not_found do
        if htmx?
          [404, { "content-type" => "text/plain; charset=utf-8" },
           ["That is not there any more."]]
        else
          ErrorPages.page(404)
        end
      end
    end
  end
end
