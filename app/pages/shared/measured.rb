# frozen_string_literal: true

module Pages
  module Shared
    # Counts each request by its route and what became of it, and says it in a line of the log: with an id that whoever
    # passed it on may have given it, and by the route’s pattern, since a path may hold a board’s code. What is counted
    # is told at the address for that alone.
    class Measured
      ID = /\A[\w.-]{1,64}\z/
      TEXT = { "content-type" => "text/plain; version=0.0.4; charset=utf-8" }.freeze

      # @param tabs [Array<String>] the first part of every page’s path, as “/listen”
      def initialize(app, tabs)
        Metrics.start if Metrics.address
        @app, @tabs = app, tabs
      end

      def call(env)
        return counted(env) if Metrics.address && asked_there?(env)

        Thread.current[:rungs_request] = id(env)
        Spent.anew
        started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        status, = answer = @app.call(env)
        tell(env, status, Process.clock_gettime(Process::CLOCK_MONOTONIC) - started)
        answer
      ensure
        Thread.current[:rungs_request] = nil
      end

      private

      def id(env)
        given = env["HTTP_X_REQUEST_ID"].to_s if Settings.proxy?
        given&.match?(ID) ? given : SecureRandom.uuid
      end

      def tell(env, status, seconds)
        route, database = route_of(env), Spent.seconds
        Metrics.request(route, status, seconds, database)
        Metrics.read_from(Spent.read) if Spent.read
        return unless Log.lines?

        Log.line(method: env["REQUEST_METHOD"], route: route, status: status, ms: (seconds * 1000).round(1),
                 database_ms: (database * 1000).round(1), read: Spent.read)
      end

      # @return [String] "/listen/:room/records"; "other" for what is none of the pages
      def route_of(env)
        pattern = env["sinatra.route"]
        return "other" unless pattern

        tab = "/#{env['PATH_INFO'].split('/')[1]}"
        path = pattern.split(" ", 2).last
        @tabs.include?(tab) ? "#{tab}#{path}" : path
      end

      # By the socket it came through, not by what it says.
      def asked_there?(env)
        socket = env["puma.socket"]
        socket.respond_to?(:local_address) && socket.local_address.ip_port == Metrics.port
      end

      def counted(env)
        return [404, TEXT.dup, []] unless env["PATH_INFO"] == "/metrics"

        [200, TEXT.dup, [Metrics.text(jobs: Records::Job.counts, behind: Records::Standby.behind)]]
      end
    end
  end
end
