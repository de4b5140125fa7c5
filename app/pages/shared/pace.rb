# frozen_string_literal: true

require "rack/attack"

module Pages
  module Shared
    # How fast what can be guessed may be tried: by one address, for one account from one address, and in all. Nobody
    # can lock somebody else out by trying.
    class Pace
      # Where something can be guessed; all else goes by.
      WATCHED = %r{\A/(account|b)/}
      CODE = %r{\A/b/([^/]+)}
      # What is tried → how often in so many seconds.
      LIMITS = { "sign-in" => [100, 300], "sign-in of one" => [10, 300], "all sign-ins" => [1000, 300],
                 "sign-up" => [20, 3600], "all sign-ups" => [200, 3600],
                 "new password" => [10, 3600], "new password of one" => [5, 3600], "all new passwords" => [200, 3600],
                 "board codes" => [60, 300], "all board codes" => [2000, 300] }.freeze

      PATHS = { "sign-in" => "/account/login", "sign-up" => "/account/create-account",
                "new password" => "/account/reset-password-request" }.freeze
      private_constant :PATHS

      def initialize(app)
        Rack::Attack.cache.store = Records::Attempts
        Rack::Attack.throttled_responder = ->(_) { ErrorPages.page(429) }
        LIMITS.each do |name, (limit, period)|
          Rack::Attack.throttle(name, limit: limit, period: period) { |request| of(name, request) if Settings.paced? }
        end
        @app = app
        @attack = Rack::Attack.new(app)
      end

      def call(env) = env["PATH_INFO"].match?(WATCHED) ? @attack.call(env) : @app.call(env)

      private

      # @return [String, nil] by what a request is counted; nil where it is none of these
      def of(name, request)
        return unless tried?(name, request)
        return "#{request.ip} #{request.params['email'].to_s.strip.downcase}" if name.end_with?("of one")

        name.start_with?("all") ? "all" : request.ip
      end

      def tried?(name, request)
        return code_tried?(request) if name.end_with?("codes")

        request.post? && request.path == PATHS.find { |what, _| name.include?(what) }.last
      end

      # Whatever is asked of a board by its code, unless this window has opened it already.
      def code_tried?(request)
        code = request.path[CODE, 1]
        !code.nil? && request.env["rack.session"]["board"] != code.upcase
      end
    end
  end
end
