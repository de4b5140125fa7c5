# frozen_string_literal: true

module Rungs
  module Activity
    # Items of one band alone (guide 8), where an activity's items are problems.
    module Ranged
      NONE = "none"
      OPTION = Option.new(id: "range", label: "Numbers", choices: [NONE, *Problem::Band::ALL.ids].freeze,
                          names: ->(id) { id == NONE ? "all" : Problem::Band::ALL.fetch(id).title }).freeze
      # With fewer it is no set; of what is thrown, so many throws are looked at for each item; so many ways all are
      # drawn, each sum the one way round or the other.
      LEAST = 4
      THROWS = 12
      POOLS = 4

      # All that lie in a range, drawn once.
      ALL_DRAWN = {} # rubocop:disable Style/MutableConstant
      private_constant :ALL_DRAWN

      # @return [String, nil] the band that is chosen
      def self.of(options) = (options["range"] unless options.fetch("range", NONE) == NONE)

      # @param data [Hash] of an item
      # @return [Problem, nil]
      def problem_of(data)
        @asked ||= {}
        @asked.fetch(data) { @asked[data] = item(data).problem }
      end

      private

      # @return [String, nil] the band that items are drawn from
      def range = Ranged.of(chosen)

      # @raise [Error::TooMany] where there are fewer than four
      def drawn_in_range(seed, count)
        random = Random.new(seed)
        wanted = count || self.class.usual
        whole = whole_set(seed, wanted) and return whole

        there, different = most ? pool(seed % POOLS) : fallen_in_range(random, wanted)
        least = [LEAST, count.to_i].max
        if there.size < least || different < LEAST
          raise Error::TooMany, "#{least} different items were asked for, but there are #{different} " \
                                "#{OPTION.say(range)} (#{self.class.title.downcase})"
        end

        most ? there.sample(wanted, random: random) : there.first(wanted)
      end

      # As it is drawn without a range, where it keeps to it: then all holds that holds for a set.
      # @return [Array<Hash>, nil]
      def whole_set(seed, wanted)
        return if most && wanted > most

        drawn = draw(Random.new(seed), wanted)
        drawn if wanted >= LEAST && in_range(drawn).size == drawn.size
      end

      # @return [Array(Array<Hash>, Integer)] those that fell in the range, and how many of them are different
      def fallen_in_range(random, wanted)
        there = in_range(draw(random, [wanted, LEAST].max * THROWS))
        [there, there.uniq.size]
      end

      # The same of all that lie in the range, as they were drawn once.
      def pool(number)
        @pools ||= {}
        return @pools[number] ||= drawn_pool(number) if personal?

        @pools[number] ||= ALL_DRAWN[[self.class, chosen, pictured, settings[:turned], number]] ||= drawn_pool(number)
      end

      def drawn_pool(number)
        there = in_range(draw(Random.new(number), most))
        [there, there.uniq.size].freeze
      end

      # Whether what is drawn goes by what a class has shown.
      def personal? = false

      def in_range(drawn) = drawn.select { |data| problem_of(data)&.band == range }
    end
  end
end
