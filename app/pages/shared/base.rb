# frozen_string_literal: true

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
      set :erb, escape_html: true, layout: :"shared/layout"
      set :show_exceptions, false
      # A refusal says what was typed; that goes to who typed it, not into a log.
      set :dump_errors, false
      set :raise_errors, true
      set :static, false
      set :host_authorization, { permitted_hosts: [] }
      disable :protection, :sessions, :logging
      helpers Helpers, Belonging

      helpers do
        def account_id = (env["rodauth"].session_value unless substitute?)
        def person = @person ||= Records::Account[account_id]

        # Where one comes back to after the lesson.
        def home = substitute? ? "/substitute/#{lesson_today.substitute_key}" : "/today/#{room.id}"

        # Where others open a board: under the name that this page was asked for, else this machine's own address.
        def board_address(lesson) = "#{request.scheme}://#{host_for_others}/b/#{lesson.code}"
        def substitute_address(lesson) = "#{request.scheme}://#{host_for_others}/substitute/#{lesson.substitute_key}"
        def reachable? = !Settings.loopback?

        def host_for_others
          return request.host_with_port unless reachable? && %w[127.0.0.1 localhost].include?(request.host)

          own = Socket.ip_address_list.find { |each| each.ipv4? && !each.ipv4_loopback? }
          own ? "#{own.ip_address}:#{request.port}" : request.host_with_port
        end

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

        # Told on the next page, with a press that takes it back.
        def undoable(note, path) = env["rack.session"]["note"] = { "text" => note, "undo" => path }

        # Other classes of the same person.
        def others = person.own_classes.reject { |other| other.id == room.id }
        def coached? = person.coached.any?

        # What the keys do here.
        # @return [Hash{Symbol => String}]
        def keys_here
          everywhere = I18n.t("keys.everywhere")
          { **I18n.t("keys.#{@tab}", default: {}), **(substitute? ? everywhere.except(:search) : everywhere) }
        end

        # Whether this person has not had this explained yet; it is now.
        def first_time?(what)
          return false if seen.include?(what)

          keep_seen([*seen, what])
        end

        def seen = substitute? ? env["rack.session"]["seen"].to_a : person.seen

        def keep_seen(all)
          return env["rack.session"]["seen"] = all if substitute?

          person.update(seen: Sequel.pg_array(all, :text))
        end

        def today = @today ||= room.today
        def lesson_today = @lesson_today ||= room.lesson_on(today)

        # The next that is not marked as one without school.
        def next_school_day
          @next_school_day ||= room.school_days(today + 1, 1).first || Rungs::SchoolDays.after(today)
        end

        # The lesson to plan for: today's until it has ended, where there is school today or a lesson all the same.
        def coming_day = @coming_day ||= taught_today? ? today : next_school_day

        def taught_today?
          return lesson_today.ended_at.nil? if lesson_today

          Rungs::SchoolDays.school_day?(today) && !room.off?(today)
        end

        def coming_lesson = coming_day == today ? "today’s lesson" : "the lesson of #{long_date(coming_day)}"
        def evidence = @evidence ||= Records::Evidence.new(room)

        # Tells the page, once it is so, that what it sent is kept: only then does a tap leave the device.
        def kept = yield.tap { headers "rungs-kept" => "yes" }

        # Draws a page, in what every page has around it.
        def show(page)
          @page, @tab, @title, @scripts, @looks_only = page, page.tab, page.title, page.scripts, looks_only?
          @margin, @how, @hushed, @drawn = page.margin, page.how, page.hushed?, page.drawn
          erb :"shared/page"
        end

        def htmx? = env.key?("HTTP_HX_REQUEST")
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
