# frozen_string_literal: true

module Pages
  module Substitute
    # A lesson as whoever takes the class finds it.
    class Page < Shared::Page
      view :"substitute/lesson", tab: "substitute", title: "The lesson"

      attr_reader :lesson

      def initialize(visitor, lesson)
        super(visitor)
        @lesson = lesson
      end

      def hushed? = true
      def next_up = listening.waiting(today).map(&:child)
      def way_to(_child) = ""
      def course = lesson.course

      # @return [Array<::Sheets::LessonPage::Part>]
      def parts = @parts ||= Printing::LessonPapers.new(lesson).page_parts
      def cautions = parts.flat_map(&:cautions).uniq

      # Whether it is the class of who looks at it.
      def own? = !Records::Account.classroom_of(visitor.signed_in, room.id).nil?
    end
  end
end
