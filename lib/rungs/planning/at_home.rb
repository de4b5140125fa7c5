# frozen_string_literal: true

module Rungs
  module Planning
    # A page for home (guide 11): what the week does, one game with things from a kitchen table and a child's own
    # numbers, and how to ask. No rung, no score and no other child is on it.
    #
    #   AtHome.new(aim: aim, range: "to10", things: "buttons", seed: 3).game
    class AtHome
      ASK = "Ask: “How did you do it?” Then wait. Every way is a good way: counting, using a sum that is known, or " \
            "making ten. It is not a test, and nobody is timed."
      # So many sums to play with.
      SUMS = 4
      ON_A_TABLE = %w[buttons pasta pebbles beans coins caps pegs].freeze

      # @param materials [Array<Activity::Material>] of the week
      # @return [String, nil] the first of what stands in for them that lies on a kitchen table
      def self.things(materials) = (materials.flat_map { |each| each.instead.scan(/[a-z]+/) } & ON_A_TABLE).first

      # @param aim [Aim] of the week
      # @param range [String] where the child works
      # @param things [String, nil] what stands in for the week's things
      # @param seed [Integer]
      def initialize(aim:, range:, seed:, things: nil)
        @aim = aim
        @range = range
        @things = things || ON_A_TABLE.first
        @seed = seed
      end

      # @return [String] "This week: start from a number and count on."
      def doing = "This week: #{@aim.i_can.delete_prefix('I can ')}"

      # @return [Array<Problem>]
      def problems
        pool = Problem::Pool.of(@aim.operation, @range)
        @problems ||= pool.draw([SUMS, pool.count].min, random: Random.new(@seed))
      end

      # @return [String] how it is played with the first of them
      def game
        first = problems.first
        return "Lay out #{first.first} #{@things}, and #{first.second} more. How many are there?" if first.add?

        "Lay out #{first.whole} #{@things}. Hide #{first.given} under a cup. How many can be seen?"
      end

      # @return [String] the others, in a line
      def others = problems.drop(1).map(&:expression).join(",   ")

      def caution = Caution.for("small_things").first.words
    end
  end
end
