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
        def sets_and_items(made, items)
          middle = made.problem_of(items.first)
          return { sets: [] } if middle.parts.size > 2 || middle.many_answers?

          standing = @choice.standing_in(middle.operation) or return { sets: [] }
          sets = StorySets.of(middle, standing, random: @random)
          { sets: sets.select { |set| set.names.any? }, items: sets.map do |set|
            item_for(made, items.first, set)
          end, fixed: true }
        end

        private

        def item_for(made, data, set)
          story = story(data, set.problem)
          kept = story ? { words: story.text, **story.template_and_things } : data.slice(:words, :template, :things)
          made.class.data_for(set.problem, kept.delete(:words), number_set: set.level, **kept)
        end

        # The same story with other numbers; where it cannot hold them, or a part is missing, another with its people.
        # @return [Problem::Story, nil] nil where none has room
        def story(data, problem)
          people = Random.new(@names_seed)
          template = @choice.book[data[:template]]
          template = @choice.book.template(problem, random: @random) unless template&.suits?(problem)
          template && Problem::Story.new(problem, template: template, names: @choice.book.names(people))
        end
      end
    end
  end
end
