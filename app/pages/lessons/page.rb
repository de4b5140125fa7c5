# frozen_string_literal: true

module Pages
  module Lessons
    # The lesson of a day, part by part, with what it needs.
    class Page < Shared::Page
      include Shared::Bringing

      view :"lessons/plan", tab: "plan", title: "Plan a lesson"

      def day = asked[:day] || today
      def lesson = @lesson ||= room.lesson_on(day)
      def course = lesson&.course
      def parts = course&.parts.to_a
      def usual = Rungs::Activity::USUAL.map { |id| Rungs::Activity::ALL.fetch(id) }
      def turns = day < today ? [] : listening.on(day)
      def to_begin? = day == today && (course.current || course.left.any?)

      # Whether the class hears known facts each week, and has not planned to in the week of this day.
      def facts_due?
        return false unless room.setting("facts") == "weekly"

        monday = Rungs::SchoolDays.monday(day)
        parts = Records::LessonPart.not_removed.where(classroom_id: room.id, kind: Rungs::Activity::WEEKLY.id)
        parts.where(lesson: room.lessons_dataset.unordered.where(held_on: monday..monday + 6)).empty?
      end

      # What the lesson needs on paper, but for each child's sheets, as one file.
      def pack
        query = { from: day, until: day, "kinds[]": ::Sheets::Pack::USUAL }
        "/sheets/#{room.id}/pack.pdf?#{URI.encode_www_form(query)}"
      end

      def find = "/find/#{room.id}#{"?day=#{day}" if day > today}"
      # Where one comes back to from what is brought.
      def bring_again = "/lesson/#{room.id}?day=#{day}&open=bring#bring"

      def here(day = self.day) = "/lesson/#{room.id}#{"?day=#{day}" if day != today}"
    end
  end
end
