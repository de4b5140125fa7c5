# frozen_string_literal: true

module Sheets
  # Cards, mats and nets to cut: cut along whole lines, fold along dashed ones. Where cards have backs, each page of
  # fronts is followed by its backs, mirrored, for printing on two sides over the long edge; each kind has a back of its
  # own, so that mixed cards are sorted again.
  class Cutouts < Sheet
    # A kind: title, a card’s width and height in millimetres, the methods that draw its front and its back, and how
    # many there are to choose from, the usual first.
    Kind = Struct.new(:title, :wide, :high, :front, :back, :to)
    KINDS = {
      "number_cards" => ["Number cards", 42, 58, :large_numeral, :rings, [20, 10, 5]],
      "dot_cards" => ["Dot cards", 58, 42, :picture, :total, [10, 5]],
      "dominoes" => ["Dominoes", 56, 29, :domino, nil, [6, 9]],
      "frames" => ["Frames and counters", 170, 76, :frame],
      "place_value" => ["Place-value cards", 28, 34], "dice_nets" => ["Dice to fold", 150, 120, :net],
      "mats" => ["Mats for two dice", 86, 86, :mat], "riddle_cards" => ["Number riddles", 88, 100, :riddle, :boxes],
      "story_cards" => ["Stories", 88, 62, :story, :rays], "strips" => ["Strips for a chain", 170, 20, :nothing],
      "lines" => ["Number lines", 176, 60, :picture, nil, [20, 10, 100]],
      "parts_mats" => ["Mats for a whole and its parts", 85, 110, :parts]
    }.transform_values { |entry| Kind.new(*entry).freeze }.freeze

    # What is on the cards of each kind.
    CARDS = {
      "number_cards" => ->(options) { [*0..options["to"]] },
      "dot_cards" => lambda do |options|
        dots = Rungs::Picture::Dots
        (1..options["to"]).flat_map { |number| dots::ARRANGEMENTS.filter_map { |each| dots.arranged(each, number) } }
      end,
      "dominoes" => lambda do |options|
        ends = (0..options["to"]).to_a.repeated_combination(2)
        ends.map { |pair| Rungs::Picture::Dots.new("domino", pair) }
      end,
      "frames" => ->(_) { [true, true, false] }, "place_value" => ->(_) { [] }, "dice_nets" => ->(_) { [1, 2] },
      "mats" => lambda do |_|
        [9, 9, 9, 12].map { |places| activity_of("mats").with("places" => places).figures[:mat] }
      end,
      "riddle_cards" => ->(options) { items_of("riddle_cards", options) },
      "story_cards" => ->(options) { items_of("story_cards", options) },
      "strips" => ->(_) { [*1..12] },
      "lines" => lambda do |options|
        styles = options["to"] == 100 ? %i[line] : %i[line track]
        (styles * 2).map { |style| Rungs::Picture::Line.new(to: options["to"], style: style) }
      end,
      "parts_mats" => ->(_) { [1, 2, 3, 4] }
    }.freeze
    private_constant :Kind, :CARDS

    # @return [Class] the activity that has these cut out
    def self.activity_of(kind) = Rungs::Activity::ALL.find { |each| each.paper[:cutouts].to_a.include?(kind) }
    # Whether another set of them has other items.
    def self.drawn_by_lot?(kind) = %w[riddle_cards story_cards].include?(kind)
    def self.items_of(kind, options) = activity_of(kind).with.items(seed: options.fetch("seed", 1), count: 8)
    private_class_method :items_of

    # @param kind [String] of KINDS
    # @param options [Hash{String => Object}] seed, to
    # @raise [Rungs::Error::Unknown]
    def initialize(kind:, options: {}, **sheet)
      @kind = KINDS.fetch(kind) do
        raise Rungs::Error::Unknown, "there are no cut-outs “#{kind}”; there are #{KINDS.keys.join(', ')}"
      end
      super(**sheet, title: sheet[:title] || @kind.title, name: false)
      @cards = CARDS.fetch(kind).call({ **options, "to" => reach(options["to"]) })
      @whole = options.fetch("whole", :top)
      @id = kind
    end

    private

    def reach(given)
      to = given ? Integer(given.to_s, 10, exception: false) : @kind.to&.first
      return to if to.nil? || @kind.to&.include?(to)

      has = @kind.to ? "go to #{@kind.to.sort.join(', ')}" : "have no such choice"
      raise Rungs::Error::Unknown, "#{@kind.title.downcase} #{has}, not #{given}"
    end

    def foot = "#{@title}. Cut along whole lines, fold along dashed ones."

    # What a card may hold. A box is its left, top, width and height.
    def numeral(number, left, top, wide, high, type)
      paper.words(number.to_s, x: left, y: top + (high / 2) - (type * 0.26), width: wide, size: type, align: :center)
      return unless [6, 9].include?(number)

      low = top + (high / 2) + (type * 0.2)
      paper.line(left + (wide * 0.42), low, left + (wide * 0.58), low)
    end

    def large_numeral(number, *box) = numeral(number, *box, 72)
    def total(dots, *box) = numeral(dots.total, *box, 60)
    def nothing(*) = nil

    def picture(kind, left, top, wide, high, inset: 4)
      paper.draw(kind.layout, x: left + inset, y: top + inset, width: wide - (2 * inset), height: high - (2 * inset),
                              align: :center)
    end

    def domino(dots, *box) = picture(dots, *box, inset: 2)

    # A blank one, or counters of two kinds for it.
    def frame(blank, *box)
      kind = blank ? Rungs::Picture::Frame.new([0], size: 10) : Rungs::Picture::Frame.new([10, 10], size: 20)
      picture(kind, *box, inset: 3)
    end

    # To lay things on.
    def parts(_, *box) = picture(Rungs::Picture::Parts.new([0, 0], show: :dots, place: @whole), *box)

    # Backs: rings, boxes or rays in one another.
    def rings(_, left, top, wide, high)
      [8, 5, 2].each { |radius| paper.circle(left + (wide / 2), top + (high / 2), radius, color: Paper::SOFT) }
    end

    def boxes(_, left, top, wide, high)
      [8, 5, 2].each do |half|
        paper.box(left + (wide / 2) - half, top + (high / 2) - half, 2 * half, 2 * half, color: Paper::SOFT)
      end
    end

    def rays(_, left, top, wide, high)
      x, y = left + (wide / 2), top + (high / 2)
      8.times do |turn|
        out = [Math.cos(turn * Math::PI / 4), Math.sin(turn * Math::PI / 4)]
        paper.line(x + (3 * out[0]), y + (3 * out[1]), x + (8 * out[0]), y + (8 * out[1]), color: Paper::SOFT)
      end
    end

    def told(words, left, top, wide) = paper.words(words, x: left + 5, y: top + 5, width: wide - 10, size: size)
    def story(item, left, top, wide, _) = told(item.ask, left, top, wide)

    def riddle(item, left, top, wide, _)
      asks = self.class.activity_of(@id).paper.fetch(:asks)
      clues = item.steps[asks].map(&:words)
      told([*clues, item.ask].join("\n"), left, top, wide)
    end

    # Places to cover, in rows as long as each other.
    def mat(totals, left, top, wide, _)
      columns = totals.size == 9 ? 3 : 4
      side = (wide - 8) / columns
      totals.each_with_index do |total, index|
        x, y = left + 4 + ((index % columns) * side), top + 4 + ((index / columns) * side)
        paper.circle(x + (side / 2), y + (side / 2), side * 0.44)
        numeral(total, x, y, side, side, side * 1.1)
      end
    end

    def net(_, *box) = DiceNet.new(paper).draw(*box)

    def body
      return place_values if @id == "place_value"

      across = [(paper.width / @kind.wide).floor, 1].max
      down = [(paper.height / @kind.high).floor, 1].max
      @cards.each_slice(across * down).with_index do |cards, page|
        paper.turn if page.positive?
        cut(cards, across) { |card, box| send(@kind.front, card, *box) }
        backs(cards, across) if @kind.back
      end
    end

    def backs(cards, across)
      paper.turn
      mirrored = cards.each_slice(across).flat_map { |row| [*row, *[nil] * (across - row.size)].reverse }
      cut(mirrored, across) { |card, box| send(@kind.back, card, *box) if card }
    end

    # In the middle of the page, so that both sides meet.
    def cut(cards, across)
      left = (paper.width - (across * @kind.wide)) / 2.0
      cards.each_with_index do |card, index|
        box = [left + ((index % across) * @kind.wide), (index / across) * @kind.high, @kind.wide, @kind.high]
        paper.box(*box, color: Paper::LINE) if card
        yield card, box
      end
    end

    # Ones are one wide, tens two, a hundred three: laid over each other from the right, they make a number.
    def place_values
      wide, high = @kind.wide, @kind.high
      rows = [[*1..6], [*7..9, 100], [10, 20, 30], [40, 50, 60], [70, 80, 90]]
      rows.each_with_index do |row, index|
        x = 0
        row.each do |number|
          digits = number.to_s.chars
          paper.box(x, index * (high + 4), wide * digits.size, high, color: Paper::LINE)
          digits.each_with_index { |digit, at| numeral(digit, x + (at * wide), index * (high + 4), wide, high, 60) }
          x += (wide * digits.size) + 2
        end
      end
    end
  end
end
