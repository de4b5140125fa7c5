# frozen_string_literal: true

module Records
  # What a lesson needs on paper: a sheet for each part, what its games cut out, the clipboard, the lesson on a page.
  class LessonPapers
    # A sheet to print: what it is called, what kind it is, and the choices that make it.
    Line = Struct.new(:title, :note, :choices, keyword_init: true)

    # @param lesson [Lesson, nil] a lesson without parts needs nothing
    def initialize(lesson)
      @lesson = lesson
    end

    # @return [Array<Line>]
    def lines
      return [] if parts.empty?

      [*parts.flat_map { |part| lines_of(part) }.uniq(&:choices), *for_the_teacher]
    end

    def parts = @lesson&.course&.parts.to_a

    # @return [Array<PosedProblem, Rungs::Problem>] equations that are, or will be, listened to
    def problems
      parts.flat_map { |part| (0...part.items.size).filter_map { |index| part.items.item(index).problem&.to_s } }.uniq
    end

    # @return [Array<Sheets::LessonPage::Part>]
    def told
      parts.map do |part|
        entry = part.activity
        Sheets::LessonPage::Part.new(
          title: entry.title, minutes: part.minutes, says: part.items.item(part.items.first).ask,
          materials: entry.materials.map(&:to_s), listen_for: entry.listen_for.values,
          cautions: Rungs::Planning::Caution.for(*entry.cautions).map(&:words)
        )
      end
    end

    private

    def lines_of(part)
      entry = part.activity
      recording, cutouts = entry.paper.values_at(:recording, :cutouts)
      [line(entry.title, "practice", sheet: "practice", part: part.id),
       (line(entry.title, "to fill in", sheet: "recording", kind: recording, part: part.id) if recording),
       *cutouts.to_a.map do |kind|
         line(Sheets::Cutouts::KINDS.fetch(kind).title, "to cut", sheet: "cutouts", kind: kind)
       end]
        .compact
    end

    def for_the_teacher
      [(line("Clipboard", "for you", sheet: "clipboard") if problems.any?),
       line("The lesson on a page", "for whoever takes it", sheet: "lesson")].compact
    end

    def line(title, note, **choices) = Line.new(title: title, note: note, choices: choices)
  end
end
