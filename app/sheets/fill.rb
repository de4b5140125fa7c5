# frozen_string_literal: true

module Sheets
  # To fill in while working: something to colour, cross out or draw in, and the sentence with its boxes beside it. Each
  # says what it asks, and draws a row.
  class Fill < ForChild
    entry note: "to fill in", shelf: "recording"
    choice "number", 1..20, label: "of", usual: 10, offered: ->(source) { source.part ? [] : 1..20 }

    NUMBERS = (1..20)
    # Millimetres: the most that a thing to colour needs, and the least that a child’s hand does.
    LARGEST = 11
    LEAST = 12
    # A sentence down the page needs so much.
    DOWN = { false => 36, true => 46 }.freeze

    class << self
      def ask(words = @ask) = @ask = words
      def title = facts.fetch(:title) { ask.split(". ").first.delete_suffix(".") }
      def title_for(activity) = activity.title
      def needed_by?(activity) = activity.paper[:recording] == id

      def drawn_from(source, chosen)
        number = source.largest || chosen[:number]
        { number: number, title: source.part ? source.kind.class.title : title,
          made_of: { sheet: id, number: number }, **source.written }
      end
    end

    # @param number [Integer] of NUMBERS
    # @param rows [Integer] 2 to 12, where it does not say itself how many it has
    # @param down [Boolean] whether sentences stand down the page
    # @param turned ["two", "one"] whether 2 + 3 is another way than 3 + 2
    # @param whole [:top, :left] where a whole stands
    # @raise [Rungs::Error]
    def initialize(number: 10, rows: 6, down: false, turned: "two", whole: :top, **sheet)
      raise Rungs::Error::NotAProblem, "a recording sheet is for 1 to 20" unless NUMBERS.cover?(number)
      raise Rungs::Error::NotAProblem, "a recording sheet has 2 to 12 rows" unless rows.between?(2, 12)

      super(title: self.class.title, **sheet)
      @number = number
      @wanted = rows
      @down = down
      @whole = whole
      @turned = turned
    end

    private

    # What to do, but for what the heading says.
    def ask
      rest = self.class.ask
      rest = rest.delete_prefix("#{@title}.").strip if @title == self.class.title
      rest unless rest.empty?
    end

    def rows = @wanted
    def least = @down ? DOWN.fetch(@large) : LEAST

    def body
      top = head(ask)
      high = [(paper.height - top) / rows, least].max
      y = top
      rows.times do
        if y + high > paper.height + 0.1
          paper.turn
          y = head(ask)
        end
        row(y + 1.5, high - 3)
        y += high
      end
    end

    # In rows of ten at most, all of one size.
    def coloured(y, high, gap: 0.08)
      rows = (@number / 10.0).ceil
      side = [paper.width * 0.6 / [@number, 10].min, high / rows, LARGEST].min
      top = y + ((high - (rows * side)) / 2)
      @number.times { |index| yield((index % 10) * side, top + ((index / 10) * side), side * (1 - gap)) }
    end

    def circles(y, high)
      coloured(y, high) { |x, top, side| paper.circle(x + (side / 2), top + (side / 2), side * 0.42) }
    end

    def drawn(picture, y, high)
      paper.draw(picture.layout, y: y, width: paper.width * 0.6, height: high, unit: LARGEST)
    end

    def sentence(text, down) = Rungs::Picture::Sentence.new(text, down: down).layout

    def written(text, y, high, down: @down)
      paper.draw(sentence(text, down), x: (paper.width * 0.6) + 4, y: y, height: high, unit: unit, align: :right)
    end

    def unit = Practice::UNIT.fetch(@large)
  end
end
