# frozen_string_literal: true

module Rungs
  class Problem
    # The stories that a class is told, and the people in them: the usual ones; a teacher's own beside them.
    class Book
      # How a teacher's own come: any of all, every other time, or nothing else.
      SHARES = %w[among half alone].freeze

      # @return [Template, nil]
      def [](id) = Template::ALL[id]

      # @param problem [Problem]
      # @param random [Random]
      # @param except [Array<String>] ids of templates heard of late; used again only when there is no other
      # @return [Template, nil] nil where no story can hold these numbers
      def template(problem, random:, except: [])
        fitting = Template::ALL.select { |template| template.well?(problem) }
        fitting = Template::ALL.select { |template| template.suits?(problem) } if fitting.empty?
        fresh = fitting.reject { |template| except.include?(template.id) }
        (fresh.empty? ? fitting : fresh).sample(random: random)
      end

      # @return [Array<String>] two different ones
      def names(random) = Story::NAMES.sample(2, random: random)

      # @return [Array<String>] everybody who may be in one
      def people = Story::NAMES

      USUAL = new.freeze
    end
  end
end
