# frozen_string_literal: true

module Rungs
  module Planning
    # Draws the items of a part until they fit the day's aim (guide 11): of its operation, nothing above the range; for
    # a focus two thirds of them in the range and half with numbers for the aim.
    class Fitting
      # With how few items a set is still one; how often it is drawn, by its place in the day, and where items of late
      # may come again; after how many draws without an item for the aim, or that were there before, no other is
      # expected.
      LEAST = 3
      TRIES = Hash.new(8).merge(focus: 48, story: 16).freeze
      AGAIN = { focus: 200 }.freeze
      NONE = 10
      # So many draws of a story wait for numbers that ask for more than counting one.
      WELL = 12
      IN_RANGE = Rational(2, 3)
      FOR_AIM = Rational(1, 2)
      # Where any problem in the range will do.
      OPEN = %i[warm_up story].freeze

      # @param aim [Aim]
      # @param memory [Memory]
      def initialize(aim, memory)
        @aim = aim
        @memory = memory
      end

      # @param kind [Activity::Kind] with its options
      # @param role [Symbol] the place in the day
      # @param unlike [Boolean] whether items of late are left out
      # @return [Array(Integer, Array<Hash>), nil] the seed, and the data of its items; nil where none fit
      def draw(kind, role, random, unlike:)
        return if beyond?(kind)

        seen, some = Hash.new(0), false
        (unlike ? TRIES[role] : AGAIN.fetch(role, TRIES[role])).times do |try|
          return nil if role == :focus && ((try == NONE && !some) || try - seen.size > NONE)

          seed = random.rand(1..9999)
          items = kind.data(seed: seed, count: count(kind, try, role))
          return nil unless open?(kind, role) || of_operation?(kind, items)

          seen[items] += 1
          some ||= role == :focus && problems(kind, items).any? { |problem| @aim.fits?(problem.parts.sort) }
          return [seed, items] if sign?(kind) || (good?(kind, role, items, try) && !(unlike && of_late?(kind, items)))
        end
        nil
      rescue Error::NotAProblem, Error::TooMany
        nil
      end

      # A sign is met in sentences of its own.
      def sign?(kind) = kind.is_a?(Activity::MeetASign)
      def open?(kind, role) = OPEN.include?(role) || sign?(kind)

      # Whether they fit, and a story is worth telling as long as there is hope of one.
      def good?(kind, role, items, try)
        return false if role == :story && try < WELL && !worth_telling?(problems(kind, items))

        fits?(kind, role, items)
      end

      # @return [Array<Problem>] of those items that have one
      def problems(kind, items) = items.filter_map { |data| kind.problem_of(data) }

      private

      # Whether there is nothing to draw, or its numbers go further whatever is drawn.
      def beyond?(kind)
        kind.most&.zero? || (!kind.class.ranged && kind.class.reach(kind.chosen).to_i > largest)
      end

      # As many as are usual, fewer with each few tries; of a focus later, since it takes the longest.
      def count(kind, try, role)
        most = [kind.class.usual, kind.most].compact.min
        [most - (try / (role == :focus ? 8 : 3)), LEAST].max.clamp(1, most)
      end

      def of_late?(kind, items) = items.any? { |data| @memory.taken?(kind.class, data) }

      def fits?(kind, role, items)
        asked = problems(kind, items)
        return items.none? { |data| kind.beyond?(data, largest) } if asked.empty?

        asked.none? { |problem| Ranges.beyond?(problem.band, @aim.range) } && (role != :focus || for_aim?(asked))
      end

      # Numbers for the aim; of the other operation such as tell how a child works.
      def worth_telling?(asked)
        asked.all? do |problem|
          problem.parts.size > 2 || @aim.fits?(problem.parts.sort) ||
            (problem.operation != @aim.operation && problem.tells?)
        end
      end

      def of_operation?(kind, items)
        problems(kind, items).all? { |problem| kind.class.suits.operation?(problem, @aim.operation) }
      end

      def for_aim?(asked)
        asked.count { |problem| problem.band == @aim.range } >= IN_RANGE * asked.size &&
          asked.count { |problem| @aim.fits?(problem.parts.sort) } >= FOR_AIM * asked.size
      end

      def largest = Activity::Option.round(@aim.band.largest)
    end
  end
end
