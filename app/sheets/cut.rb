# frozen_string_literal: true

module Sheets
  # Cards, mats and nets to cut: cut along whole lines, fold along dashed ones. Where cards have backs, each page of
  # fronts is followed by its backs, mirrored, for printing on two sides over the long edge; each kind has a back of its
  # own, so that mixed cards are sorted again. Each says its cards, their size in millimetres, and draws a front in a
  # box: its left, top, width and height.
  class Cut < Sheet
    entry note: "to cut", shelf: "cutouts", for_whom: :group

    class << self
      attr_reader :wide, :high

      def size(wide, high) = (@wide, @high = wide, high)
      def needed_by?(activity) = activity.paper[:cutouts].to_a.include?(id)
      def backs? = private_method_defined?(:back)

      # @return [Class, nil] the activity that has these cut out
      def activity = Rungs::Activity::ALL.find { |each| needed_by?(each) }

      def drawn_from(source, chosen)
        made = choices.map(&:id) & %i[to seed]
        { **chosen.slice(*made), whole: source.written[:whole], made_of: { sheet: id, **chosen.slice(*made) } }
      end
    end

    # @param to [Integer, nil] how far they go, where they offer that
    # @param seed [Integer] which of them, where they are drawn by lot
    # @param whole [:top, :left] where a whole stands
    # @raise [Rungs::Error::Unknown]
    def initialize(to: self.class.usual[:to], seed: 1, whole: :top, **sheet)
      super(name: false, **sheet)
      @to = to
      @seed = seed
      @whole = whole
    end

    private

    def foot = "#{@title}. Cut along whole lines, fold along dashed ones."
    def wide = self.class.wide
    def high = self.class.high

    def numeral(number, left, top, wide, high, type:)
      paper.words(number.to_s, x: left, y: top + (high / 2) - (type * 0.26), width: wide, size: type, align: :center)
      return unless [6, 9].include?(number)

      low = top + (high / 2) + (type * 0.2)
      paper.line(left + (wide * 0.42), low, left + (wide * 0.58), low)
    end

    def picture(kind, left, top, wide, high, inset: 4)
      paper.draw(kind.layout, x: left + inset, y: top + inset, width: wide - (2 * inset), height: high - (2 * inset),
                              align: :center)
    end

    def write(words, left, top, wide) = paper.words(words, x: left + 5, y: top + 5, width: wide - 10, size: size)

    # Half-widths of what lies in one another in the middle of a back.
    NESTED = [8, 5, 2].freeze
    private_constant :NESTED

    def nested(left, top, wide, high)
      NESTED.each { |half| yield left + (wide / 2), top + (high / 2), half }
    end

    def body
      across = [(paper.width / wide).floor, 1].max
      down = [(paper.height / high).floor, 1].max
      cards.each_slice(across * down).with_index do |some, page|
        paper.turn if page.positive?
        cut(some, across) { |card, box| front(card, *box) }
        backs(some, across) if self.class.backs?
      end
    end

    def backs(some, across)
      paper.turn
      mirrored = some.each_slice(across).flat_map { |row| [*row, *[nil] * (across - row.size)].reverse }
      cut(mirrored, across) { |card, box| back(card, *box) if card }
    end

    # In the middle of the page, so that both sides meet.
    def cut(some, across)
      left = (paper.width - (across * wide)) / 2.0
      some.each_with_index do |card, index|
        box = [left + ((index % across) * wide), (index / across) * high, wide, high]
        paper.box(*box, color: Paper::LINE) if card
        yield card, box
      end
    end
  end
end
