# frozen_string_literal: true

module Pages
  module Shared
    # Whether this process is there (/health/live), and whether it may be sent requests (/health/ready): its database
    # answers, has the tables it knows or newer ones, and it is not about to end. Asked by programs, under any name.
    class Health
      PLAIN = { "content-type" => "text/plain; charset=utf-8", "cache-control" => "no-store" }.freeze

      def initialize(app)
        @app = app
      end

      def call(env)
        case env["PATH_INFO"]
        when "/health/live" then said(200, "live")
        when "/health/ready" then ready
        else @app.call(env)
        end
      end

      private

      def ready
        reason = not_ready
        reason ? said(503, reason) : said(200, "ready")
      end

      # @return [String, nil]
      def not_ready
        return "ending" if Drain.begun?

        "the tables are older than this version" if Database.step < Database.latest
      rescue Sequel::DatabaseError
        "no database"
      end

      def said(status, words) = [status, PLAIN.dup, ["#{words}\n"]]
    end
  end
end
