# frozen_string_literal: true

module Pages
  module Keeping
    # What a file would bring. Nothing is written yet.
    class PreviewPage < Shared::Page
      view :"keeping/preview", tab: "records", title: "What would be brought in"

      # As Exchange::Incoming has it.
      def looked = asked.fetch(:looked)

      # Where the page is, and where it is agreed to.
      def here = asked.fetch(:here)
      def back = "/records/#{room.id}"
      def part = :"keeping/_#{asked.fetch(:part)}"

      def with_photos = looked[:photos].positive? ? ", with #{plural(looked[:photos], 'photo')}" : ""
    end
  end
end
