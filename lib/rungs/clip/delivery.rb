# frozen_string_literal: true

module Rungs
  module Clip
    # How a child says numbers: words with their pauses, and what the hands do at each. Counting is brisk, thinking is
    # not.
    class Delivery
      # Seconds before a word, from and to: of a count, of what is worked out, of what is known, of what nobody saw.
      COUNTED = [0.5, 0.9].freeze
      THOUGHT = [1.6, 3.2].freeze
      KNOWN = [0.8, 2.2].freeze
      UNSEEN = [5.0, 7.0].freeze
      SILENT = [8.0, 10.0].freeze

      # @param random [Random]
      def initialize(random)
        @random = random
      end

      # Things touched one by one, each run from one.
      # @param runs [Array<Array<Integer>>]
      # @param kinds [Array<String>] what the hands do in each run
      # @return [Array<Said>]
      def runs(runs, kinds)
        runs.zip(kinds).flat_map do |run, hands|
          run.each_with_index.map do |number, place|
            said(number, place.zero? ? THOUGHT : COUNTED, hands, place + 1)
          end
        end
      end

      # A number held in the head, then steps from it, kept track of on fingers or not.
      # @param numbers [Array<Integer>]
      # @param held [Boolean] whether the first is the number held, not a step
      # @param hands [String]
      # @param answer [Integer, nil] said after the steps
      def steps(numbers, held:, hands:, answer: nil)
        counted = numbers.each_with_index.map do |number, place|
          next said(number, THOUGHT, "none", 0) if place.zero? && held

          said(number, place.zero? ? THOUGHT : COUNTED, hands, held ? place : place + 1)
        end
        answer ? [*counted, said(answer, THOUGHT, "none", 0)] : counted
      end

      # What is worked out, landing by landing.
      # @param hands [Array(String, Integer)] what they do on the way to the second, and with how many
      def landings(numbers, hands)
        numbers.each_with_index.map do |number, place|
          said(number, place.zero? ? COUNTED : THOUGHT, *(place == 1 ? hands : ["none", 0]))
        end
      end

      def at_once(number) = [said(number, KNOWN, "none", 0)]
      def unseen(number) = [said(number, UNSEEN, "none", 0)]
      def nothing = [said(nil, SILENT, "none", 0)]

      private

      def said(number, pause, hands, count)
        Said.new(number: number, pause_s: @random.rand(pause[0]..pause[1]).round(1), hands: hands, so_far: count)
      end
    end
  end
end
