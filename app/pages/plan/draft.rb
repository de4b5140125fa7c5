# frozen_string_literal: true

module Pages
  module Plan
    # A problem that is being made ready to pose: chosen by Rungs, or with numbers of the teacher's own.
    class Draft
      attr_reader :problem, :story

      # @param form [Hash] situation, band, and if given numbers, template and names
      # @param posed [Array<Rungs::Problem>] what this lesson already posed
      # @param recent [Array<String>] templates heard here of late
      # @param book [Rungs::Problem::Book] what the class is told
      # @raise [Rungs::Error] with the reason, where the numbers make no problem or none is left
      def self.make(form, posed:, recent:, random:, book:)
        problem = if form[:numbers]
                    Rungs::Problem.from_story(form[:situation],
                                              form[:numbers])
                  else
                    draw_problem(form, posed, random)
                  end
        new(problem, tell(problem, form, recent, random, book))
      end

      def self.draw_problem(form, posed, random)
        pool = Rungs::Problem::Pool.new(situation: form[:situation], band: form[:band])
        pool.draw(1, random: random, except: posed).first
      end

      # The same story again with other numbers, where it has room for them.
      def self.tell(problem, form, recent, random, book)
        template = book[form[:template]]
        names = form[:names].to_s.split(",")
        if template&.suits?(problem) && names.uniq.size == 2
          return Rungs::Problem::Story.new(problem, template: template, names: names)
        end

        Rungs::Problem::Story.write(problem, random: random, except: recent, book: book)
      end
      private_class_method :draw_problem, :tell

      def initialize(problem, story)
        @problem = problem
        @story = story
      end
    end
  end
end
