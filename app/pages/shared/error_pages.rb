# frozen_string_literal: true

require "tilt"
require "erubi"
require "tilt/erubi"

module Pages
  module Shared
    # One page each for 403, 404, 422 and 500, in the look. Where it went wrong
    # inside is logged, never shown; not what the message says, in which may stand what a person typed.
    class ErrorPages
      SAYS = {
        403 => ["This page was open too long",
                "To be safe nothing was changed. Go back, load the page again and press once more; what was saved " \
                "before is safe."],
        not_allowed: ["That is the class’s teacher’s",
                      "A teacher of the class says who may do what, under Records, People. Nothing was changed."],
        404 => ["There is nothing here for you",
                "It may be another class's page, or it was taken away. Nothing was changed."],
        413 => ["That is too large",
                "It was not taken in, and nothing was changed. A file that is brought in may have 300 MB, a photo 20 " \
                "MB, everything else far less."],
        422 => ["That could not be used",
                "Nothing was changed. Go back, mend it and send it again."],
        503 => ["A moment, please",
                "That took too long, or the database is just coming back. What was saved before is safe; try once " \
                "more."],
        429 => ["That was tried too often",
                "Each wrong try more makes the wait longer; nobody else is stopped by it."],
        500 => ["Something went wrong on our side",
                "What was saved before is safe. Go back and try once more."],
        507 => ["The server has no room left",
                "Its disk is full, so nothing new can be kept there. Tell whoever keeps the machine. What was saved " \
                "before is safe, and taps wait on the device they were made on."]
      }.freeze
      TEMPLATE = Tilt::ErubiTemplate.new(File.join(__dir__, "error.erb"), escape_html: true)

      # @return [Array] a Rack response
      def self.page(status, reason = nil)
        title, comfort = SAYS.fetch(status)
        told = { status: status, title: title, reason: reason, comfort: comfort }
        body = TEMPLATE.render(Object.new.extend(Helpers), **told)
        number = status == :not_allowed ? 403 : status
        [number, { "content-type" => "text/html; charset=utf-8", "cache-control" => "no-store" }, [body]]
      end

      def initialize(app)
        @app = app
      end

      def call(env)
        @app.call(env)
      rescue Errno::ENOSPC
        full
      rescue Rack::Timeout::RequestTimeoutError, Sequel::DatabaseConnectionError, Sequel::DatabaseDisconnectError
        self.class.page(503)
      rescue Sequel::DatabaseError => e
        case e.wrapped_exception
        when PG::DiskFull then full
        when *BUSY then self.class.page(503)
        else trouble(e)
        end
      rescue StandardError => e
        trouble(e)
      end

      private

      # What the database ended itself: it took too long, or two waited for each other.
      BUSY = [PG::QueryCanceled, PG::TRDeadlockDetected, PG::LockNotAvailable].freeze
      private_constant :BUSY

      def trouble(error)
        Log.trouble(error)
        self.class.page(500)
      end

      # Said where Rungs was started, once a minute.
      def full
        now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        if @said_full.nil? || now - @said_full > 60
          @said_full = now
          Log.say("The disk is full: nothing new can be kept. Free some space; taps wait on the tablets meanwhile.",
                  level: "error")
        end
        self.class.page(507)
      end
    end
  end
end
