# frozen_string_literal: true

module Pages
  module Shared
    # The session’s cookie, sent anew only where what it holds has changed.
    class Cookie < Rack::Session::Cookie
      private

      def commit_session?(request, session, options)
        super && (options[:renew] || session.to_hash != unpacked_cookie_data(request))
      end
    end
  end
end
