# frozen_string_literal: true

module Rungs
  module Activity
    # What is drawn for a problem when it is asked for, one step at a time: a picture of it, or a way of it on a
    # picture, checked at its end by a second one.
    #
    #   Drawn.new(problem, "make_ten").steps           # nothing is called that: []
    #   Drawn.new(problem, "frame").steps              # the problem on a frame, then what leaves crossed out
    #   Drawn.new(problem, "4").steps                  # the usual way of the fourth rung, where it shows best
    #   Drawn.new(problem, "up_through_ten line frame").steps
    #   Drawn.new(problem, "7:3,4 line").steps         # a child's own: seven broken into three and four
    class Drawn
      SPLIT = /\A(\d+):(\d+),(\d+)\z/

      # @param problem [Problem]
      # @param wanted [String] a picture's id; or a rung, a move or a split, then the pictures it is drawn on and
      #   checked by, with spaces between
      # @param things [Array<String>] what the parts of the problem are of
      # @param words [String] what stands above it
      # @param how [Hash] of Picture::Staging::USUAL
      def initialize(problem, wanted, things: ["counter"], words: "", **how)
        @problem = problem
        @shown, @on, @beside = wanted.to_s.split
        @how = { thing: things, **how }
        @words = words
      end

      # @return [Array<Step>] none where there is no such picture or way of this problem
      def steps = @steps ||= pictures || way

      # @return [Strategy::Path, nil] the way that is drawn; nil where it is a picture alone
      def path
        @path ||= if (split = SPLIT.match(@shown.to_s))
                    Strategy::Split.path(@problem, split[1].to_i, [split[2].to_i, split[3].to_i])
                  elsif @shown.to_s.match?(/\A[1-5]\z/) then Strategy::Path.usual(@problem, @shown.to_i)
                  else
                    Strategy::Path.by(@problem, @shown)
                  end
      rescue Error::NotAProblem
        nil
      end

      private

      def pictures
        kind = Picture::KINDS[@shown] or return
        Picture::Staging.of(@problem, **@how).fetch(kind, []).map { |layout| step(layout) }
      end

      def way
        staged = path && Picture::Staging.way(path, @problem, **@how, on: known(@on)) or return []
        steps = staged.steps.map { |layout| step(layout) }
        [*steps[..-2], step(steps.last.layout, beside: second, lines: staged.equations)]
      end

      # The last scene of the way on another picture; else that picture as it starts.
      def second
        kind = Picture::KINDS[@beside] or return
        acted = Picture::Staging.way(path, @problem, **@how, on: @beside)
        acted&.steps&.last || kind.of(@problem, **@how)&.layout
      end

      def known(picture) = (picture if Picture::KINDS.key?(picture))
      def step(layout, **more) = Step.new(name: "look", layout: layout, words: @words, **more)
    end
  end
end
