# frozen_string_literal: true

module Sheets
  # To fill in while working: something to colour, cross out or draw in, and the sentence with its boxes beside it.
  class Recording < Sheet
    # What there is, with what is asked.
    KINDS = {
      "dots" => "Colour them in two ways. Write how many of each.", "ways" => "Find all the ways.",
      "frame" => "Draw the counters. Write the sentence.", "line" => "Draw the jumps. Write the sentence.",
      "parts" => "Write the whole and its parts.", "cross_out" => "Cross out those that leave. Write what is left.",
      "towers" => "Colour the tower in two ways. Write how many of each."
    }.freeze
    NUMBERS = (1..20)
    # Millimetres: the most that a thing to colour needs, and the least that a child’s hand does.
    LARGEST, LEAST = 11, 5.5

    # @param kind [String] of KINDS
    # @param number [Integer] of NUMBERS
    # @param rows [Integer] 2 to 12
    # @raise [Rungs::Error]
    def initialize(kind:, number: 10, rows: 6, **sheet)
      @ask = KINDS.fetch(kind) do
        raise Rungs::Error::Unknown, "there is no recording sheet “#{kind}”; there are #{KINDS.keys.join(', ')}"
      end
      raise Rungs::Error::NotAProblem, "a recording sheet is for 1 to 20" unless NUMBERS.cover?(number)
      raise Rungs::Error::NotAProblem, "a recording sheet has 2 to 12 rows" unless rows.between?(2, 12)

      super(**sheet)
      @kind = kind
      @number = number
      @rows = kind == "ways" ? number + 1 : rows
    end

    private

    def body
      top = head(@ask)
      high = [(paper.height - top) / @rows, 12].max
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
      paper.draw(Rungs::Picture::Sentence.new("□ + □ = #{@number}").layout, y: y, height: high, unit: unit)
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

    # The whole above, two parts below; circles that a numeral fits into.
    def parts(y, high)
      radius = [high / 4.5, 9].min
      middle, apart, bottom = radius * 3, radius * 1.7, y + (radius * 3.2)
      paper.circle(middle, y + radius, radius)
      [-1, 1].each do |side|
        paper.circle(middle + (side * apart), bottom, radius)
        paper.line(middle + (side * radius * 0.6), y + (radius * 1.8), middle + (side * apart * 0.8),
                   bottom - (radius * 0.9))
      end
      written("□ + □ = □", y, high)
    end

    def written(sentence, y, high)
      paper.draw(Rungs::Picture::Sentence.new(sentence).layout, x: (paper.width * 0.6) + 4, y: y, height: high,
                                                                unit: unit, align: :right)
    end

    def unit = Practice::UNIT.fetch(@large)
  end
end
