# frozen_string_literal: true

module Rungs
  module Planning
    class ProposedWeek
      # A story's numbers for everybody: its items are the sets.
      class NumbersForAll
        # @param choice [Choice]
        # @param names_seed [Integer] by which people get their names
        # @param random [Random]
        def initialize(choice, names_seed:, random:)
          @choice = choice
          @names_seed = names_seed
          @random = random
        end

        # @param made [Activity::Kind] that tells it
        # @param items [Array<Hash>] as they were drawn
        # @return [Hash{Symbol => Object}] sets; and items that are told as they stand, where there are any
        def of(made, items)
          middle = made.problem_of(items.first)
          return { sets: [] } if middle.parts.size > 2 || middle.many_answers?

          standing = @choice.standing_in(middle.operation) or return { sets: [] }
          sets = StorySets.of(middle, standing, random: @random)
          { sets: sets.select { |set| set.names.any? }, items: sets.map { |set| told(made, items.first, set) }, told: true }
        end

        private

        def told(made, data, set)
          made.class.told(set.problem, words(data, set.problem), number_set: set.level,
                                                                 **data.slice(:template, :things))
        end

        # The same story with other numbers.
        def words(data, problem)
          template = @choice.book[data[:template]]
          return data[:words] unless template&.suits?(problem)

          names = @choice.book.names(Random.new(@names_seed))
          Problem::Story.new(problem, template: template, names: names).text
        end
      end
    end
  end
end
