# frozen_string_literal: true

module Rungs
  class Problem
    # A problem in words: short sentences, numbers as digits, one question (guide 14).
    #
    #   Story.write(problem, random: Random.new(3)).text
    class Story
      # Names of many origins, for stories; a teacher can use the class's own on its own stories.
      NAMES = %w[Ada Ami Bela Ciro Dalia Edda Emeka Finn Hana Ilir Imke Jaro Juno Kaya Leif Lila Mato Mina Nilo Noor
                 Ola Pia Rafi Rika Sami Suri Tari Timo Una Wim Yara Zeno].freeze

      attr_reader :problem, :template, :names, :text

      # @param random [Random]
      # @param names [Array<String>] to choose two from
      # @param except [Array<String>] ids of templates heard of late; used again only when there is no other
      # @raise [Error::NotAProblem] where no story can hold these numbers
      def self.write(problem, random:, names: NAMES, except: [])
        fitting = Template::ALL.select { |template| template.well?(problem) }
        fitting = Template::ALL.select { |template| template.suits?(problem) } if fitting.empty?
        if fitting.empty?
          raise Error::NotAProblem, "no story has room for these numbers; use others, or a bare equation"
        end

        fresh = fitting.reject { |template| except.include?(template.id) }
        template = (fresh.empty? ? fitting : fresh).sample(random: random)
        new(problem, template: template, names: names.uniq.sample(2, random: random))
      end

      # @param names [Array<String>] two different names
      def initialize(problem, template:, names:)
        raise Error::NotAProblem, "a story needs two different names" unless names.uniq.size == 2

        @problem = problem
        @template = template
        @names = names
        @text = template.fill(problem, names)
        freeze
      end

      # Whether words changed by hand still say the numbers of the problem, as digits ("no" or "none" for 0).
      # @return [Array<Integer>] the given numbers that are missing
      def self.missing_numbers(text, problem)
        said = text.scan(/\d+/).map(&:to_i)
        problem.told.reject { |number| said.include?(number) || (number.zero? && text.match?(/\bno(ne)?\b/i)) }
      end
    end
  end
end
