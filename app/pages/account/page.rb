# frozen_string_literal: true

module Pages
  module Account
    # The signed-in person: classes, and where else one is signed in.
    class Page < Shared::Page
      view :"account/account", title: "Your account"

      def margin = nil
      def here = env["rodauth"].compute_hmac(env["rack.session"]["active_session_id"].to_s)
      def sessions = Records::Session.of(person)
    end
  end
end
