# frozen_string_literal: true

module Pages
  module Shared
    # How fast what can be guessed may be tried. Wrong tries are counted, by account and by address; who made too many
    # waits, longer each time, and is told how long. A hall full of people who sign in rightly is never stopped, nor is
    # an account where it signed in of late, nor everybody by what one does.
    class Pace
      # What can be guessed. wrong: the statuses that say so; nil where every try counts. free: how many from one
      # address; account: of one account.
      Guess = Struct.new(:name, :verbs, :path, :wrong, :free, :account, keyword_init: true) do
        def of?(request) = verbs.include?(request.request_method) && request.path.match?(path)
        def wrong?(status) = wrong.nil? || wrong.include?(status)
      end

      BOTH = %w[GET POST].freeze
      private_constant :BOTH

      ALL = [
        Guess.new(name: "sign-in", verbs: %w[POST], path: %r{\A/account/login\z}, wrong: [401], free: 100, account: 10),
        Guess.new(name: "sign-up", verbs: %w[POST], path: %r{\A/account/create-account\z}, wrong: [422],
                  free: 100),
        Guess.new(name: "new password", verbs: %w[POST], path: %r{\A/account/reset-password-request\z}, free: 100,
                  account: 5),
        Guess.new(name: "board", verbs: %w[GET], path: %r{\A/b/[^/]}, wrong: [404], free: 60),
        Guess.new(name: "invitation", verbs: BOTH, path: %r{\A/invite/[^/]}, wrong: [404, 422], free: 30),
        Guess.new(name: "offer", verbs: BOTH, path: %r{\A/records/\d+/come}, wrong: [404, 422], free: 30),
        Guess.new(name: "substitute", verbs: %w[GET], path: %r{\A/substitute/[^/]}, wrong: [404], free: 30)
      ].freeze

      def initialize(app)
        @app = app
      end

      def call(env)
        request = Rack::Request.new(env)
        guess = ALL.find { |each| each.of?(request) } if Settings.paced?
        return @app.call(env) if guess.nil? || opened?(guess, request)

        counted = counted(guess, request)
        wait = counted.map { |what, free| Records::Attempts.wait(what, free: free) }.max
        return slowed(wait) if wait&.positive?

        @app.call(env).tap { |status,| note(guess, counted.keys, status) }
      end

      private

      # A board that this window has open already.
      def opened?(guess, request)
        guess.name == "board" && request.env["rack.session"]["board"] == request.path[%r{\A/b/([^/]+)}, 1].upcase
      end

      # By what a try is counted, and how many wrong ones are free: an account where it is known is counted there alone.
      # @return [Hash{Array<String> => Integer}]
      def counted(guess, request)
        email = request.params["email"].to_s.strip.downcase if guess.account
        return { [guess.name, email, request.ip] => guess.account } if email && known?(email, request.ip)

        { **(email ? { [guess.name, email] => guess.account } : {}),
          **(Settings.trusted?(request.ip) ? {} : { [guess.name, request.ip] => guess.free }) }
      end

      def known?(email, address) = Records::Audit.signed_in_from?(email, address)

      def note(guess, counted, status)
        return counted.each { |what| Records::Attempts.wrong(what) } if guess.wrong?(status)

        Records::Attempts.right(counted.first) if guess.account
      end

      def slowed(seconds)
        told = seconds < 90 ? "#{seconds} seconds" : "#{(seconds / 60.0).ceil} minutes"
        status, headers, body = ErrorPages.page(429, "Wait #{told}, then try again.")
        [status, { **headers, "retry-after" => seconds.to_s }, body]
      end
    end
  end
end
