# frozen_string_literal: true

module Rungs
  module Activity
    # What all activities share. A class says its entry and its options, draws the data of a set, and makes an item of
    # data:
    #
    #   class Twins < Kind
    #     entry id: "twins", title: "Twins", minutes: 7, finds: %w[doubles], i_can: "I can double a number."
    #     option "to", "Double to", [5, 10]
    #     def most = …              # how many different ones there are; nil for as many as one likes
    #     def draw(random, count)   # => the data of a set
    #     def item(data)            # => Item
    #   end
    #
    # The same options, seed and count give the same set; an item is made again from its place in it.
    class Kind
      extend Described
      extend ByHand::Named
      include Making
      include ByHand
      include Ranged
      include Saying

      MOST_ITEMS = 300
      # What a class says, where it says nothing else.
      USUAL = Picture::Staging::USUAL.merge(turned: "two", minus: "take away", signs: "all").freeze
      READ_BACK = "Read them all. What do you notice?"

      attr_reader :chosen, :settings

      # @param chosen [Hash{String => Object}] a choice for every option
      def initialize(chosen, settings)
        @chosen = chosen.freeze
        @settings = USUAL.merge(settings).freeze
      end

      # @param seed [Integer]
      # @param count [Integer, nil] how many; by default as many as are usual, or there are
      # @return [Array<Item>]
      # @raise [Error::TooMany] saying how many there are
      def items(seed:, count: nil) = data(seed: seed, count: count).map { |each| item(each) }

      # @return [Array<Hash>] the plain data of the set
      def data(seed:, count: nil)
        refuse("there are none of these; choose other numbers") if most&.zero?
        return drawn_in_range(seed, count) if range && count.to_i <= MOST_ITEMS && !count&.zero?

        number = count || [self.class.usual, most].compact.min
        raise Error::NotAProblem, "a set has 1 to #{MOST_ITEMS} items" unless number.between?(1, MOST_ITEMS)
        if most && number > most
          raise Error::TooMany, "#{number} different items were asked for, but there are #{most} in all " \
                                "(#{self.class.title.downcase})"
        end

        draw(Random.new(seed), number)
      end

      # What a set ends with: all its sentences, read back.
      # @param items [Array<Item>]
      # @return [Item]
      def closing(items)
        written = items.filter_map(&:written)
        shown = items.last.steps.last.layout
        make(ask: READ_BACK, answer: nil, data: {}, equation: nil,
             steps: [step("write", shown, READ_BACK, lines: written)])
      end

      # What is thrown or tapped in from outside, as an item's data.
      # @raise [Error::NotAProblem] where it cannot be, or nothing is thrown here
      def given(_input) = refuse("nothing is thrown here")

      # A way that was offered, as it is kept.
      # @param input [String] as written
      # @return [Picture::Way] with groups where it was shown on a picture
      # @raise [Error::NotAProblem]
      def way(item, input) = written(WrittenWay.text(input, Integer(item.answer), turned: settings[:turned]))

      # What each rung would say with these numbers; only those that can show.
      # @param item [Item]
      # @return [Hash{String => String}] by the id of a rung, lowest first
      def sounds(item) = item.problem ? Strategy::Path.sounds(item.problem).compact : self.class.listen_for

      # What it is called, what it is about, and with what care it is done: its activity's.
      def title = self.class.title
      def about = self.class.i_can
      def cautions = Caution.for(*self.class.cautions).map(&:words)

      # The item whose picture stands for it, where that is not its first.
      # @return [Item, nil]
      def face = nil

      # @return [Array<Material>] what these items need
      def materials = self.class.materials

      # @param data [Array<Hash>] of the items
      # @return [Array<Material>] no more pieces than the largest of them needs
      def materials_for(data)
        largest = data.filter_map { |each| problem_of(each)&.whole || each[:number] }.max
        materials.map { |material| material.up_to(largest) }
      end

      # Whether an item can be seen by what is missing.
      def missing?(_item) = false

      # Whether an item has larger numbers than a class works with.
      # @param _data [Hash] of the item
      # @param largest [Integer]
      def beyond?(_data, largest) = (self.class.reach(chosen) || 0) > largest

      # More that programs are told: chances, and what is expected.
      # @return [Hash]
      def figures = {}

      # The same with the next smaller or larger numbers.
      # @param direction ["easier", "harder"]
      # @return [Hash{String => Object}, nil] the choices of that set; nil where there is none
      def turn(direction)
        sized = self.class.options.find { |each| each.choices.size > 1 && each.choices.all?(Integer) } or return
        sizes = sized.choices.sort
        place = sizes.index(chosen[sized.id]) + (direction == "easier" ? -1 : 1)
        chosen.merge(sized.id => sizes[place]) if place.between?(0, sizes.size - 1)
      end

      # What a teacher may tell of what has come so far: chances, and what is missing.
      # @param seen [Array<Hash>] the data of the items until now
      # @return [Array<String>] sentences
      def notes(_seen) = []

      # @return [Integer, nil] how many different items there are; nil for as many as one likes
      def most = nil

      private

      def option(id) = chosen.fetch(id.to_s)
      def written(text) = Picture::Way.new(text: text, groups: [])
      def refuse(reason) = raise(Error::NotAProblem, reason)
    end
  end
end
