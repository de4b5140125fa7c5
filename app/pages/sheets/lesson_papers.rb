# frozen_string_literal: true

module Pages
  module Sheets
    # What a lesson needs on paper: a sheet for each part, what its games cut out, the clipboard, the lesson on a page.
    class LessonPapers
      # A sheet to print: what it is called, what kind it is, and the choices that make it.
      Line = Struct.new(:title, :note, :choices, keyword_init: true)

      # Problems of a clipboard: two pages across.
      MOST = 8
      # One problem of it: an item of a part.
      Asked = Struct.new(:part, :item, :equation, keyword_init: true) do
        # @return [Time] when it was asked: with its part, else in the middle of that day's morning; never to come
        def at
          lesson = part.lesson
          morning = lesson.classroom.midnight(lesson.held_on) + (10 * 3600)
          [part.runs.first&.started_at || morning, Time.now].min
        end
      end

      # @param lesson [Records::Lesson, nil] a lesson without parts needs nothing
      def initialize(lesson)
        @lesson = lesson
      end

      # All that some days need, what is cut only once.
      # @param room [Records::Classroom]
      # @param days [Enumerable<Date>]
      # @param kinds [Array<String>, nil] of ::Sheets::Pack::KINDS; nil for all
      # @return [Array<Line>] with the day in their choices
      def self.of_days(room, days, kinds = nil) = of(days.filter_map { |day| room.lesson_on(day) }, kinds)

      # @param lessons [Array<Records::Lesson>]
      def self.of(lessons, kinds = nil)
        lines = lessons.flat_map do |lesson|
          new(lesson).lines.each { |line| line.choices = { **line.choices, day: lesson.held_on } }
        end
        lines.select! { |line| kinds.include?(line.choices[:sheet]) } if kinds
        lines.uniq { |line| line.choices[:sheet] == "cutouts" ? line.choices.except(:day) : line.choices }
      end

      # @return [Array<Line>]
      def lines
        return [] if parts.empty?

        [*parts.flat_map { |part| lines_of(part) }.uniq(&:choices), *for_the_teacher]
      end

      def parts = @lesson&.course&.parts.to_a

      # What is listened to, in the order of the lesson; each equation once.
      # @return [Array<Asked>]
      def asked
        @asked ||= parts.flat_map { |part| asked_in(part) }.uniq(&:equation).first(MOST)
      end

      # @return [Array<::Sheets::LessonPage::Part>]
      def told
        parts.map do |part|
          entry = part.activity
          ::Sheets::LessonPage::Part.new(
            title: entry.title, minutes: part.minutes, says: word_by_word(part), following: following(part),
            materials: entry.materials.map(&:to_s), listen_for: entry.listen_for.values,
            cautions: Rungs::Planning::Caution.for(*entry.cautions).map(&:words)
          )
        end
      end

      private

      # What is said on the way through the first item, step by step.
      # @return [Array<String>]
      def word_by_word(part)
        said = part.items.item(part.items.first).steps.map(&:words)
        said.each_with_object([]) { |words, all| all << words unless all.any? { |earlier| earlier.include?(words) } }
      end

      # What the other items ask, in a line; the sentence of each where it has one.
      def following(part)
        rest = (0...part.items.size).to_a - [part.items.first]
        items = rest.map { |index| part.items.item(index) }
        items.filter_map { |item| item.equation || item.answer&.to_s }.join(", ")
      end

      def asked_in(part)
        (0...part.items.size).filter_map do |index|
          equation = part.items.item(index).problem&.to_s
          equation && Asked.new(part: part, item: index, equation: equation)
        end
      end

      def lines_of(part)
        entry = part.activity
        recording, cutouts = entry.paper.values_at(:recording, :cutouts)
        [line(entry.title, "practice", sheet: "practice", **named(part)),
         (line(entry.title, "to fill in", sheet: "recording", kind: recording, **named(part)) if recording),
         *cutouts.to_a.map do |kind|
           line(::Sheets::Cutouts::KINDS.fetch(kind).title, "to cut", sheet: "cutouts", kind: kind)
         end]
          .compact
      end

      # One of the usual parts is not there yet; it has its kind for a name.
      def named(part) = part.id ? { part: part.id } : { usual: part.kind }

      def for_the_teacher
        [(line("Clipboard", "for you", sheet: "clipboard") if asked.any?),
         line("The lesson on a page", "for whoever takes it", sheet: "lesson")].compact
      end

      def line(title, note, **choices) = Line.new(title: title, note: note, choices: choices)
    end
  end
end
