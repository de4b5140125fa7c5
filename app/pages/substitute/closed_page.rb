# frozen_string_literal: true

module Pages
  module Substitute
    # Why a link opens nothing.
    class ClosedPage < Shared::Page
      view :"substitute/closed", tab: "substitute", title: "A lesson"

      # @return [Records::Lesson, nil]
      def lesson = asked[:lesson]
      def margin = nil
      def to_come? = lesson.held_on > lesson.classroom.today
      def over? = lesson.ended_at && lesson.held_on == lesson.classroom.today
      def day = I18n.with_locale(lesson.classroom.setting("region")) { long_date(lesson.held_on) }
    end
  end
end
