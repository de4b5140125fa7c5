# frozen_string_literal: true

require "yaml"

module Rungs
  class Problem
    # One story without its numbers, from the files under stories/ (guide 14): what it tells, in which context, of which
    # things, and how many of them there can sensibly be.
    #
    # A story in a file: tells (a situation), words (see Wording), and if wanted most and least (of the whole, or by
    # quantity: { whole: 100, first: 8 }), zero (the parts that may be 0), things (of each part, where the words do not
    # say them).
    class Template
      attr_reader :id, :context, :situation, :things, :wording

      def self.read(file)
        context = File.basename(file, ".yml")
        data = YAML.safe_load_file(file)
        data.fetch("stories").group_by { |story| story.fetch("tells") }.values.flat_map do |stories|
          stories.each_with_index.map { |story, index| new(context, index, story, data) }
        end
      end

      # @param index [Integer] its place among those of this context that tell the same, so that a new one is added last
      def initialize(context, index, story, data)
        @context = context
        @situation = Situation::ALL.fetch(story.fetch("tells"))
        @id = "#{context}/#{@situation.id}/#{index + 1}"
        @most = amounts(story.fetch("most", data.fetch("most")))
        @least = amounts(story.fetch("least", 1))
        @zero = story.fetch("zero", []).map { |part| PARTS.index(part) } + @situation.unsaid_zero
        @words = story.fetch("words")
        @wording = Wording.new(@words, data.fetch("things"))
        @things = (story["things"] || @wording.things).freeze
        freeze
      end

      # Whether its things can be that many, and its situation tells such numbers.
      def suits?(problem)
        situation.equal?(problem.situation) && situation.tells?(problem.parts) && fits?(problem) &&
          zero_told?(problem.parts)
      end

      # Whether it also reads well with them.
      def well?(problem) = suits?(problem) && !awkward?(problem)

      def fill(problem, names) = wording.fill(problem, names)

      PARTS = %w[first second].freeze
      private_constant :PARTS

      private

      def amounts(limit)
        if limit.is_a?(Hash)
          limit.transform_keys(&:to_sym)
        else
          { (situation.open ? :first : :whole) => limit }
        end
      end

      def fits?(problem)
        @most.all? { |quantity, most| problem.public_send(quantity) <= most } &&
          @least.all? { |quantity, least| problem.public_send(quantity) >= least }
      end

      # "Some" are two or more; nobody says "1 more child than grown-ups".
      SOME = /\bsome\b/i
      ONE_MORE = /\{second: [^}]*\} than/
      private_constant :SOME, :ONE_MORE

      def awkward?(problem)
        (@words.match?(SOME) && !problem.many_answers? && problem.answer == 1) ||
          (@words.match?(ONE_MORE) && problem.parts[1] == 1)
      end

      def zero_told?(parts) = parts.each_with_index.all? { |part, index| part.positive? || @zero.include?(index) }

      ALL = Catalogue.new("story", Dir[File.join(__dir__, "stories", "*.yml")].flat_map { |file| read(file) })
    end
  end
end
