# frozen_string_literal: true

module Sheets
  # The lesson on a page, for whoever takes the class: its parts with minutes, what to say, what to have at hand,
  # cautions, whom to listen to and what for.
  class LessonPage < Sheet
    # A part: title, minutes, what to say, materials, cautions, what to listen for.
    Part = Struct.new(:title, :minutes, :says, :materials, :cautions, :listen_for, keyword_init: true)

    # @param parts [Array<Part>]
    # @param turns [Array<Array(String, String)>] whom to listen to, and why
    # @raise [Rungs::Error::NotAProblem]
    def initialize(parts:, turns: [], **sheet)
      raise Rungs::Error::NotAProblem, "this lesson has no parts yet" if parts.empty?

      super(**sheet, name: false)
      @parts = parts
      @turns = turns
    end

    private

    def body
      y = head
      @parts.each { |part| y = placed(y) { |from| part(part, from) } + 5 }
      cautions = @parts.flat_map(&:cautions).uniq
      y = placed(y) { |from| block("With care", cautions, from) } + 4 if cautions.any?
      placed(y) { |from| block("Listen to", @turns.map { |name, why| "#{name}: #{why}" }, from) } if @turns.any?
    end

    # On the next page where this one is full.
    def placed(y)
      if y > paper.height - 38
        paper.turn
        y = 0
      end
      yield y
    end

    def part(part, y)
      paper.line(0, y, paper.width, y, color: Paper::LINE)
      paper.words("#{part.minutes} min", y: y + 2, width: 20, size: 13, soft: true)
      y += paper.words(part.title, x: 22, y: y + 2, size: 15) + 3
      y += paper.words("“#{part.says}”", x: 22, y: y, size: 13) + 1
      told = [("At hand: #{part.materials.join('; ')}." if part.materials.any?),
              ("Listen for: #{part.listen_for.join('; ')}." if part.listen_for.any?)].compact
      told.each { |line| y += paper.small(line, x: 22, y: y) + 1 }
      y
    end

    def block(title, lines, y)
      y += paper.words(title, y: y, size: 14) + 1
      lines.each { |line| y += paper.small(line, y: y) + 1 }
      y
    end
  end
end
