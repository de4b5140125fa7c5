# frozen_string_literal: true

module Pages
  module Keeping
    # What a file would bring. Nothing is written yet.
    class PreviewPage < Shared::Page
      view :"keeping/preview", tab: "records", title: "What would be brought in"

      def incoming = asked.fetch(:incoming)

      # Where the page is, and where it is agreed to.
      def here = asked.fetch(:here)
      def back = "/records/#{room.id}"
      def part = :"keeping/_#{incoming.class.view}"

      def with_photos = incoming.photos.positive? ? ", with #{plural(incoming.photos, 'photo')}" : ""

      # The week in which lessons of a colleague begin here.
      def monday = incoming.first || incoming.coming.first&.day
    end
  end
end
