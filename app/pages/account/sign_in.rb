# frozen_string_literal: true

require "roda"

module Pages
  module Account
    # Signing in and out, and what belongs to an account. Everything else needs somebody signed in.
    class SignIn < Roda
      OPEN = %r{\A/account/(login|create-account|demo|reset-password(-request)?)\z|
                \A/(calendar|substitute|schema|invite)/|\A/b(/|\z)}x

      # Seconds that asking for a new password takes.
      RESET_TAKES = 0.3
      private_constant :RESET_TAKES

      plugin :middleware, next_if_not_found: true
      plugin :render, engine: "erb", views: File.join(Rungs::ROOT, "app/pages/account"), layout: nil,
                      escape: true, allowed_paths: [File.join(Rungs::ROOT, "app/pages")]
      plugin :flash
      include Shared::Helpers
      include Fields
      include WhoAsks

      # Who asks, and what was read with them.
      attr_reader :visitor
      attr_accessor :asking

      plugin :rodauth, csrf: false, &Configuration::SIGNING_IN

      route do |r|
        rodauth.check_active_session
        stay_on
        @visitor = let_in(lesson_to_take(r.path[OF_LESSON, 1]))
        ask_to_sign_in unless visitor.signed_in? || r.path.match?(OPEN) || visitor.substitute?
        leave_waiting if somebody_elses?
        response["cache-control"] = "no-store"
        r.on "account" do
          r.post("demo") { sign_in_to_demo } if Settings.demo_offer?(env)
          as_long_for_all { r.rodauth }
        end
      end

      # A page of signing in, in what every page has around it.
      def view(*, **) = OpenPage.new(visitor, title: @title, drawn: super).in_frame

      private

      def sign_in_to_demo
        rodauth.account_from_login(Demo::School::EMAIL) || request.redirect("/account/login")
        rodauth.login("demo")
      end

      # Nobody learns from the time whether an account is there for which a new password is asked.
      def as_long_for_all
        return yield unless request.post? && request.path.end_with?("/reset-password-request")

        ends = Process.clock_gettime(Process::CLOCK_MONOTONIC) + RESET_TAKES
        begin
          yield
        ensure
          sleep [ends - Process.clock_gettime(Process::CLOCK_MONOTONIC), 0].max
        end
      end

      # The cookie of a session that lasts is sent anew each day.
      def stay_on
        return unless session["stay"]

        rodauth.logged_in? ? session["stay"] = Date.today.iso8601 : session.delete("stay")
      end
    end
  end
end
