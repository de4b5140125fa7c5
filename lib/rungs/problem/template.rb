# frozen_string_literal: true

require "yaml"

module Rungs
  class Problem
    # One story without its numbers, from the files under stories/ (field guide 14): what it tells, in which
    # context, and how many of its things there can sensibly be.
    class Template
      attr_reader :id, :context, :situation, :most, :wording

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
        @most = story.fetch("most", data.fetch("most"))
        @wording = Wording.new(story.fetch("words"), data.fetch("things"))
        freeze
      end

      # Whether its things can be that many, and its situation tells such numbers.
      def suits?(problem) = situation.equal?(problem.situation) && problem.whole <= most && situation.tells?(problem.parts)

      def fill(problem, names) = wording.fill(problem, names)

      ALL = Catalogue.new("story", Dir[File.join(__dir__, "stories", "*.yml")].flat_map { |file| read(file) })
    end
  end
end
