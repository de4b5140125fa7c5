# frozen_string_literal: true

module Pages
  module Shared
    # The session’s cookie, sent anew only where what it holds has changed.
    class Cookie < Rack::Session::Cookie
      # Seconds that a session lasts on a device where somebody stays signed in.
      STAY = 30 * 86_400

      private

      def commit_session(req, res)
        session = req.get_header(Rack::RACK_SESSION)
        session.options[:expire_after] = STAY if session.loaded? && session["stay"]
        super
      end

      def commit_session?(request, session, options)
        super && (options[:renew] || session.to_hash != unpacked_cookie_data(request))
      end
    end
  end
end
