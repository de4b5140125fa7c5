# frozen_string_literal: true

module Rungs
  module Strategy
    # Which two or three of the ways heard to share with the class, from the least to the most abstract, and why those
    # (guide 2, step 5).
    module Sharing
      # who: a name, or anything. rung: 1..5 or nil. move: an id or nil. right: whether the answer was.
      Heard = Struct.new(:who, :rung, :move, :right, keyword_init: true)
      Proposal = Struct.new(:path, :who, :why, keyword_init: true)

      module_function

      # @param problem [Problem]
      # @param heard [Array<Heard>]
      # @return [Array<Proposal>] each of another rung; none for ways that nobody was heard to get right
      def propose(problem, heard)
        by_rung = ways(problem, heard).group_by { |path, _| path.rung }
        chosen = between(by_rung).sort
        chosen.map do |rung|
          path, who = by_rung.fetch(rung).max_by { |_, all| all.size }
          Proposal.new(path: path, who: who, why: why(rung, chosen, who.size))
        end
      end

      # One question that joins two drawings which stand beside each other; the child shows, says or points
      # (ACTIVITIES, "Sharing, and comparing").
      # @param first [Path] the less abstract one
      # @param second [Path]
      # @return [String]
      def joining(first, second)
        return "Where is the ten? Can you find it in each drawing?" if [first, second].any? { |path| ten?(path) }
        return "What is counted here, and not counted any more there?" if first.counts > second.counts

        shared = (first.landings & second.landings) - [second.answer]
        return "Both come to #{shared.last}. Where is it in each drawing?" if shared.any?

        "What is the same in both drawings, and what is not?"
      end

      # How a child may begin to tell a way.
      # @return [String]
      def start(path) = STARTS.fetch(path.rung)

      # Whether a way goes through ten, not by counting and not to it.
      def ten?(path) = path.rung > COUNTS && path.answer != TEN && path.landings.include?(TEN)

      COUNTS = 2
      TEN = 10
      STARTS = { 1 => "First I counted …", 2 => "I started at …", 3 => "I knew that …", 4 => "First I made …",
                 5 => "I knew it, because …" }.freeze
      private_constant :COUNTS, :TEN, :STARTS

      # @return [Array<Array(Path, Array)>] every way heard with who used it; where no move was noted, the usual one
      def ways(problem, heard)
        right = heard.select { |each| each.rung && each.right }
        by_path = right.group_by { |each| Path.heard(problem, each.rung, each.move) }.except(nil)
        by_path.transform_values { |all| all.map(&:who) }.sort_by { |path, _| [path.rung, path.work] }
      end

      # The lowest and the highest, and of the others the one most children used.
      def between(by_rung)
        rungs = by_rung.keys.sort
        return rungs if rungs.size <= 3

        middle = rungs[1..-2].max_by { |rung| [by_rung[rung].sum { |_, who| who.size }, -rung] }
        [rungs.first, middle, rungs.last]
      end

      def why(rung, chosen, count)
        place = { chosen.first => "the most concrete way heard: everybody can follow it",
                  chosen.last => "the most abstract way heard: where the others are going" }
        place = { chosen.first => "the only way heard" } if chosen.size == 1
        "#{place.fetch(rung, 'the step between them')} (#{count == 1 ? 'one child' : "#{count} children"})"
      end
      private_class_method :between, :why, :ten?
    end
  end
end
