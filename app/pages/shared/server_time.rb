# frozen_string_literal: true

module Pages
  module Shared
    # Each answer tells what time it is here, in milliseconds since 1970: a tablet's own clock may be wrong.
    class ServerTime
      def initialize(app)
        @app = app
      end

      def self.now = (Time.now.to_f * 1000).round

      def call(env)
        @app.call(env).tap { |_, headers,| headers["rungs-time"] = ServerTime.now.to_s }
      end
    end
  end
end
