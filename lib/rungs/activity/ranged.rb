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
      LEAST, THROWS, POOLS = 4, 12, 4

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
        there = most ? pool(seed % POOLS) : in_range(draw(random, [wanted, LEAST].max * THROWS))
        least, different = [LEAST, count.to_i].max, there.uniq.size
        if there.size < least || different < LEAST
          raise Error::TooMany, "#{least} different items were asked for, but there are #{different} " \
                                "#{OPTION.say(range)} (#{self.class.title.downcase})"
        end

        most ? there.sample(wanted, random: random) : there.first(wanted)
      end

      # All that lie in the range, as they were drawn once.
      def pool(number)
        all = personal? ? (@pools ||= {}) : ALL_DRAWN
        all[[self.class, chosen, pictured, settings[:turned], number]] ||= in_range(draw(Random.new(number), most))
      end

      # Whether what is drawn goes by what a class has shown.
      def personal? = false

      def in_range(drawn) = drawn.select { |data| problem_of(data)&.band == range }
    end
  end
end
