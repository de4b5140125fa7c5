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
      # @param book [Book] what the class is told, and of whom
      # @param except [Array<String>] ids of templates heard of late; used again only when there is no other
      # @raise [Error::NotAProblem] where no story can hold these numbers
      def self.write(problem, random:, except: [], book: Book::USUAL)
        template = book.template(problem, random: random, except: except)
        refuse unless template

        new(problem, template: template, names: book.names(random))
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

      def self.refuse
        raise Error::NotAProblem, "no story has room for these numbers; use others, or a bare equation"
      end
      private_class_method :refuse

      # What is kept of it with a problem: its template, and what its parts are of.
      def template_and_things = { template: template.id, things: template.things }

      # The same words with other numbers: as its template tells them; where they were changed by hand or a template is
      # not there, number for number.
      # @param before [Problem] whose numbers stand there
      # @param now [Problem] of the same situation
      # @param template [Template, nil]
      # @param people [Array<String>] who may be in it
      # @raise [Error::NotAProblem] where the story has no room for them
      def self.retold(words, before, now, template:, people: NAMES)
        raise Error::NotAProblem, "the story has no room for these numbers" if template && !template.suits?(now)

        names = template && named(words, before, template, people)
        names ? template.fill(now, names) : number_for_number(words, before.story_numbers, now.story_numbers)
      end

      # @return [Array<String>, nil] with whose names a template tells just that
      def self.named(words, problem, template, people)
        there = people.select { |name| words.downcase.include?(name.downcase) }
        [*there, *people.first(2)].uniq.permutation(2).find { |names| template.fill(problem, names) == words }
      end

      def self.number_for_number(words, before, now)
        rest = before.zip(now)
        words.gsub(/\d+/) do |digits|
          place = rest.index { |from, _| from == digits.to_i }
          place ? rest.delete_at(place).last.to_s : digits
        end
      end
      private_class_method :named

      # Whether words changed by hand still say the numbers of the problem, as digits ("no" or "none" for 0).
      # @return [Array<Integer>] the given numbers that are missing
      def self.missing_numbers(text, problem)
        said = text.scan(/\d+/).map(&:to_i)
        problem.story_numbers.reject { |number| said.include?(number) || (number.zero? && text.match?(/\bno(ne)?\b/i)) }
      end
    end
  end
end
