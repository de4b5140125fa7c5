# frozen_string_literal: true

module Pages
  module Shared
    # Turns away what is larger than any form of ours, before it is read.
    class Size
      MOST = 64 * 1024
      MOST_PHOTO = 21 * 1024 * 1024

      def initialize(app)
        @app = app
      end

      def call(env)
        env["CONTENT_LENGTH"].to_i > most(env) ? ErrorPages.page(413) : @app.call(env)
      end

      private

      def most(env)
        case env["PATH_INFO"]
        when %r{\A/photos/} then MOST_PHOTO
        when %r{\A/records/\d+/in\z} then Settings::LARGEST_FILE + MOST
        else MOST
        end
      end
    end
  end
end
