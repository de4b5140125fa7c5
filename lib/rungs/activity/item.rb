# frozen_string_literal: true

module Rungs
  module Activity
    # One thing to do: what is asked, the answer, its plain data (enough to make it again), and its steps on the board.
    # With a problem of guide 3 it can be posed, listened to and recorded like any other.
    #
    # answer: a number, a word, or nil where many are right. equation: as it is asked, with its box; nil where there is
    # none. told: what is kept of a problem when it is posed: story, template, number_set. paper: what stands on a sheet
    # where that is otherwise: words (what to do), sentences (to be filled in), shown (a picture; false for none).
    Item = Struct.new(:ask, :answer, :problem, :equation, :data, :steps, :posing, :paper, keyword_init: true) do
      # @return [Array<String>] what the parts of its problem are of
      def things = data.fetch(:things, ["counter"])

      # @return [Array<String>] what a child fills in; none where there is only room to write
      def sentences = paper.to_h.fetch(:sentences) { [equation].compact }

      # @return [String, nil] the sentence it ends with
      def written = steps.filter_map(&:equation).last

      def to_h
        { ask: ask, answer: answer, equation: equation, data: data, steps: steps.map(&:to_h) }
      end
    end
  end
end
