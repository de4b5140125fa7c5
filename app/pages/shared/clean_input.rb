# frozen_string_literal: true

require "rack"

module Pages
  module Shared
    # Turns away what no form of ours sends: text that is not UTF-8, NUL bytes, parameters that cannot be read. A cookie
    # of that kind is passed over: nobody could take it back by going another way.
    class CleanInput
      def initialize(app)
        @app = app
      end

      def call(env)
        return ErrorPages.page(422, "Something in that request could not be read as text.") unless clean?(env)

        env["HTTP_COOKIE"] = readable_cookies(env["HTTP_COOKIE"]) if env.key?("HTTP_COOKIE")
        @app.call(env)
      end

      private

      def clean?(env)
        path = Rack::Utils.unescape_path(env["PATH_INFO"])
        readable?(path) && whole?(Rack::Request.new(env).params)
      rescue ArgumentError, EncodingError, TypeError, RangeError, EOFError, Rack::BadRequest
        false
      end

      def readable_cookies(header) = header.b.split(/; */).select { |cookie| readable_cookie?(cookie) }.join("; ")

      def readable_cookie?(cookie)
        readable?(Rack::Utils.unescape(cookie.b, Encoding::BINARY))
      rescue ArgumentError
        false
      end

      def binary?(text) = text.encoding == Encoding::BINARY
      def readable?(text) = text.dup.force_encoding(Encoding::UTF_8).valid_encoding? && !text.include?("\0")

      def whole?(value)
        case value
        when Hash then whole?(value.keys) && whole?(value.values)
        when Array then value.all? { |each| whole?(each) }
        when String then binary?(value) || readable?(value)
        else true
        end
      end
    end
  end
end
