# frozen_string_literal: true

module Sheets
  # To fill in while working: something to colour, cross out or draw in, and the sentence with its boxes beside it.
  class Recording < Sheet
    # What there is, with what is asked.
    KINDS = {
      "dots" => "Colour them in two ways. Write how many of each.", "ways" => "Find all the ways.",
      "frame" => "Draw the counters. Write the sentence.", "line" => "Draw the jumps. Write the sentence.",
      "parts" => "Write the whole and its parts.", "cross_out" => "Cross out those that leave. Write what is left.",
      "towers" => "Colour the tower in two ways. Write how many of each.",
      "ladder" => "Colour one more on each rung. Write the sentence."
    }.freeze
    NUMBERS = (1..20)
    # Millimetres: the most that a thing to colour needs, and the least that a child’s hand does.
    LARGEST = 11
    # A sentence down the page needs so much.
    DOWN = { false => 36, true => 46 }.freeze

    # @param kind [String] of KINDS
    # @param number [Integer] of NUMBERS
    # @param rows [Integer] 2 to 12
    # @param down [Boolean] whether sentences stand down the page
    # @param turned ["two", "one"] whether 2 + 3 is another way than 3 + 2
    # @param whole [:top, :left] where a whole stands
    # @raise [Rungs::Error]
    def initialize(kind:, number: 10, rows: 6, down: false, turned: "two", whole: :top, **sheet)
      @ask = KINDS.fetch(kind) do
        raise Rungs::Error::Unknown, "there is no recording sheet “#{kind}”; there are #{KINDS.keys.join(', ')}"
      end
      raise Rungs::Error::NotAProblem, "a recording sheet is for 1 to 20" unless NUMBERS.cover?(number)
      raise Rungs::Error::NotAProblem, "a recording sheet has 2 to 12 rows" unless rows.between?(2, 12)

      super(**sheet)
      @kind = kind
      @number = number
      @down = down
      @whole = whole
      ways = turned == "one" ? (number / 2) + 1 : number + 1
      @rows = { "ways" => ways, "ladder" => number + 1, "parts" => 4 }.fetch(kind, rows)
    end

    private

    def body
      top = head(@ask)
      high = [(paper.height - top) / @rows, @down && @kind != "ladder" ? DOWN.fetch(@large) : 12].max
      @rows.times do |row|
        y = top + (row * high)
        if y + high > paper.height + 0.1
          paper.turn
          top = head(@ask) - (row * high)
          y = top + (row * high)
        end
        send(@kind, y + 1.5, high - 3)
      end
    end

    def dots(y, high) = coloured(y, high) { |x, top, side| paper.circle(x + (side / 2), top + (side / 2), side * 0.42) }
    def towers(y, high) = coloured(y, high, gap: 0) { |x, top, side| paper.box(x, top, side, side) }

    # Every rung is as long as the number; the sentence stays in a row, or the rungs would not meet.
    def ladder(y, high)
      side = [paper.width * 0.6 / @number, high + 3, LARGEST].min
      @number.times { |index| paper.box(index * side, y - 1.5 + ((high + 3 - side) / 2), side, side) }
      written("□ + □ = #{@number}", y, high, down: false)
    end

    def cross_out(y, high)
      coloured(y, high, sentence: "#{@number} − □ = □") do |x, top, side|
        paper.circle(x + (side / 2), top + (side / 2), side * 0.42)
      end
    end

    # In rows of ten at most, all of one size.
    def coloured(y, high, gap: 0.08, sentence: "□ + □ = #{@number}")
      rows = (@number / 10.0).ceil
      side = [paper.width * 0.6 / [@number, 10].min, high / rows, LARGEST].min
      top = y + ((high - (rows * side)) / 2)
      @number.times { |index| yield((index % 10) * side, top + ((index / 10) * side), side * (1 - gap)) }
      written(sentence, y, high)
    end

    def ways(y, high)
      paper.draw(sentence("□ + □ = #{@number}", @down), y: y, height: high, unit: unit)
    end

    def frame(y, high)
      blank = Rungs::Picture::Frame.new([0], size: [5, 10, 20, 30].find { |size| size >= @number })
      paper.draw(blank.layout, y: y, width: paper.width * 0.6, height: high, unit: LARGEST)
      written("□ + □ = □", y, high)
    end

    def line(y, high)
      blank = Rungs::Picture::Line.new(to: Rungs::Picture::Line.reach(@number))
      paper.draw(blank.layout, y: y, width: paper.width * 0.6, height: high, unit: LARGEST)
      written("□ + □ = □", y, high)
    end

    def parts(y, high)
      blank = Rungs::Picture::Parts.new([0, 0], show: :dots, place: @whole)
      paper.draw(blank.layout, y: y, width: paper.width * 0.6, height: high, unit: LARGEST)
      written("□ + □ = □", y, high)
    end

    def sentence(text, down) = Rungs::Picture::Sentence.new(text, down: down).layout

    def written(text, y, high, down: @down)
      paper.draw(sentence(text, down), x: (paper.width * 0.6) + 4, y: y, height: high, unit: unit, align: :right)
    end

    def unit = Practice::UNIT.fetch(@large)
  end
end
