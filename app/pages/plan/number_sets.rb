# frozen_string_literal: true

module Pages
  module Plan
    # One story with the number sets the teacher ticked: the words with each set's own numbers.
    class NumberSets
      # @param form [Hash] as the draft contract gives it
      # @param words [String] the story as the teacher left it
      # @param book [Rungs::Problem::Book] what the class is told
      def initialize(form, words, book)
        @form = form
        @book = book
        @words = words
        @middle = Rungs::Problem.from_story(form.fetch(:situation), form.fetch(:numbers))
      end

      # @return [Array<Hash>] the data of items, easier first
      # @raise [Rungs::Error] where numbers make no problem
      def problems
        also = @form[:one] ? [] : @form[:also].to_a
        return [entry(@middle, nil)] if also.empty?

        easier, harder = %w[easier harder].map { |name| also.include?(name) ? [entry(other(name), name)] : [] }
        [*easier, entry(@middle, "middle"), *harder]
      end

      private

      def other(name)
        Rungs::Problem.from_story(@form.fetch(:"#{name}_situation", @form[:situation]), @form[name.to_sym].to_a)
      end

      # Where a part is missing it is another story, by the same people.
      def entry(problem, name)
        return other_story(problem, name) unless problem.situation.id == @middle.situation.id

        Rungs::Activity::POSED.data_for(problem, words(problem), template: @form[:template], number_set: name,
                                                                 things: template_told&.things)
      end

      def other_story(problem, name)
        template = @book.template(problem, random: Random.new(problem.whole))
        refuse_story unless template
        story = Rungs::Problem::Story.new(problem, template: template,
                                                   names: names || @book.names(Random.new(problem.whole)))
        Rungs::Activity::POSED.data_for(problem, story.text, number_set: name, **story.template_and_things)
      end

      def refuse_story = raise(Rungs::Error::NotAProblem, "no story has room for these numbers")

      # @return [Array<String>, nil] the two people of the story
      def names = @form[:names].to_s.split(",").then { |both| both if both.uniq.size == 2 }

      # The words as changed by hand, number for number; as the template tells it where the words were left or a 1 would
      # make singulars of plurals.
      def words(problem)
        return @words if problem.story_numbers == @middle.story_numbers

        told = told_by_template(problem)
        singular = [*problem.story_numbers, *@middle.story_numbers].intersect?([0, 1])
        return told if told && (singular || @words == told_by_template(@middle))

        Rungs::Problem::Story.number_for_number(@words, @middle.story_numbers, problem.story_numbers)
      end

      def template_told = @book[@form[:template]]

      def told_by_template(problem)
        template = template_told
        return unless template&.suits?(problem) && names

        Rungs::Problem::Story.new(problem, template: template, names: names).text
      end
    end
  end
end
