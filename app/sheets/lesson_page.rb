# frozen_string_literal: true

module Sheets
  # The lesson on a page, for whoever takes the class: its parts with minutes, what to say, what to have at hand,
  # cautions, whom to listen to and what for.
  class LessonPage < Sheet
    # A part: title, minutes, what to say, materials, cautions, what to listen for.
    Part = Struct.new(:title, :minutes, :says, :materials, :cautions, :listen_for, keyword_init: true)

    # @param parts [Array<Part>]
    # @param turns [Array<Array(String, String)>] whom to listen to, and why
    # @param link [String, nil] the address that opens the lesson that day
    # @raise [Rungs::Error::NotAProblem]
    def initialize(parts:, turns: [], link: nil, **sheet)
      raise Rungs::Error::NotAProblem, "this lesson has no parts yet" if parts.empty?

      super(**sheet, name: false)
      @parts = parts
      @turns = turns
      @link = link
    end

    private

    def body
      y = head - 5
      @parts.each { |part| y = placed(y, PART) { |from| part(part, from) } + 1.5 }
      { "With care" => @parts.flat_map(&:cautions).uniq,
        "Listen to" => @turns.map { |name, why| "#{name} #{why}" } }.each do |title, lines|
        y = placed(y, (lines.size + 1) * LINE) { |from| block(title, lines, from) } + 3 if lines.any?
      end
      placed(y, CODE) { |from| code(from) } if @link
    end

    # Millimetres that a part, and a line of the lists below, need.
    PART, LINE, CODE = 30, 6, 32
    private_constant :PART, :LINE, :CODE

    # On the next page where this one is full.
    def placed(y, high)
      return yield(y) if y + high <= paper.height

      paper.turn
      yield 0
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

    # The same lesson on a tablet: its address, also for a camera.
    def code(y)
      paper.svg(Drawings::Code.draw(@link, label: "The address of this lesson"), 0, y, CODE)
      told = "On a tablet or phone, on this day only: what to say, the board, and who said what. No account is needed."
      paper.small(told, x: CODE + 4, y: y + 4)
      paper.small(@link, x: CODE + 4, y: y + 14)
      y + CODE
    end

    def block(title, lines, y)
      y += paper.words(title, y: y, size: 14) + 1
      lines.each { |line| y += paper.small(line, y: y) + 0.4 }
      y
    end
  end
end
