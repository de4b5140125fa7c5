# frozen_string_literal: true

module Printing
  # What a lesson needs on paper: a sheet for each part, what its games cut out, the clipboard, the lesson on a page.
  class LessonPapers
    # A sheet to print: its entry, what it is called here, and the choices that make it.
    Line = Struct.new(:sheet, :title, :choices, keyword_init: true) do
      def note = sheet.note

      # What is cut is the same on every day.
      def same_as = sheet.for_whom == :group ? choices.except(:day) : choices
    end

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

      # Of a story with several sets of numbers, the child's own.
      # @return [Asked]
      def for_child(child)
        own = part.items.own(item, child)
        own == item ? self : Asked.new(part: part, item: own, equation: part.items.item(own).problem.to_s)
      end
    end

    # @param lesson [Records::Lesson, nil] a lesson without parts needs nothing
    def initialize(lesson)
      @lesson = lesson
    end

    # All that some days need, what is cut only once.
    # @param room [Records::Classroom]
    # @param days [Enumerable<Date>]
    # @param kinds [Array<String>, nil] shelves of ::Sheets::Pack::KINDS; nil for all
    # @return [Array<Line>] with the day in their choices
    def self.of_days(room, days, kinds = nil) = of_lessons(days.filter_map { |day| room.lesson_on(day) }, kinds)

    # @param lessons [Array<Records::Lesson>]
    def self.of_lessons(lessons, kinds = nil)
      lines = lessons.flat_map do |lesson|
        new(lesson).lines.each { |line| line.choices = { **line.choices, day: lesson.held_on } }
      end
      lines.select! { |line| kinds.include?(line.sheet.shelf) } if kinds
      lines.uniq(&:same_as)
    end

    # @return [Array<Line>]
    def lines
      return [] if parts.empty?

      [*parts.flat_map { |part| lines_of(part) }.uniq(&:choices), *of_the_whole]
    end

    def parts = @lesson&.course&.parts.to_a

    # What is listened to, in the order of the lesson; each equation once.
    # @return [Array<Asked>]
    def asked
      @asked ||= parts.flat_map { |part| asked_in(part) }.uniq(&:equation).first(MOST)
    end

    # @return [Array<::Sheets::LessonPage::Part>]
    def page_parts
      parts.map do |part|
        ::Sheets::LessonPage::Part.new(
          title: part.title, minutes: part.minutes, says: word_by_word(part), following: following(part),
          materials: part.items.kind.materials.map(&:to_s), listen_for: heard(part.items),
          cautions: part.items.kind.cautions
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

    # What each rung would sound like with the first item's numbers.
    def heard(items)
      sounds = items.offered.sounds(items.first).values
      items.item(items.first).problem ? sounds.map { |says| "“#{says.chomp('.')}”" } : sounds
    end

    # What the other items ask, in a line; the sentence of each where it has one.
    def following(part)
      rest = (0...part.items.size).to_a - [part.items.first]
      items = rest.map { |index| part.items.item(index) }
      items.filter_map { |item| item.equation || item.answer&.to_s }.join(", ")
    end

    def asked_in(part)
      (0...part.items.size).reject { |index| part.items.other_set?(index) }.filter_map do |index|
        equation = part.items.item(index).problem&.to_s
        equation && Asked.new(part: part, item: index, equation: equation)
      end
    end

    # A part needs items of its own, but what is cut for one is as good for another.
    def lines_of(part)
      entry = part.activity
      ::Sheets::ALL.select { |sheet| sheet.needed_by?(entry) }.map do |sheet|
        line(sheet, sheet.title_for(entry), **(sheet.for_whom == :group ? {} : named(part)))
      end
    end

    # One of the usual parts is not there yet; it has its kind for a name.
    def named(part) = part.id ? { part: part.id } : { usual: part.kind }

    def of_the_whole
      ::Sheets::ALL.select { |sheet| sheet.needed_in?(self) }.map { |sheet| line(sheet, sheet.title) }
    end

    def line(sheet, title, **choices) = Line.new(sheet: sheet, title: title, choices: { sheet: sheet.id, **choices })
  end
end
