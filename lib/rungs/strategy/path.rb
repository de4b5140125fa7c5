# frozen_string_literal: true

module Rungs
  module Strategy
    # How one move goes for one problem: what it costs, where it lands, what is written and said (guide 4).
    #
    #   path = Path.all(problem).first
    #   path.landings  # => [9, 10, 14], the numbers on the line it stands on, in order
    class Path
      COUNT = 1
      SPLIT = 1
      # Thinking of the matching addition.
      TURN = 1.5
      # What a recall costs, by what is recalled: ten and some, what makes ten, a double, five and some, any other fact.
      RECALL = { "ten_and" => 0.5, "partner" => 1, "double" => 1, "five" => 1, "fact" => 1.5 }.freeze

      attr_reader :move, :counts, :recalled, :splits, :turns, :landings, :equations, :says, :answer, :acting, :pieces

      # @param landings [Array<Integer>]
      # @param equations [Array<String>] each true by itself, with one equals sign
      # @param says [String] a sentence or two, as a child would say it
      # @param recalled [Array<String>] kinds of RECALL, in order
      # @param acting [Acting] how pictures act it out
      # @param answer [Integer, nil] what the steps come to, where that is not the last landing
      # @param pieces [Array(Integer, Integer), nil] what was found apart, in any order, before it was put together
      def initialize(move:, landings:, equations:, says:, acting:, counts: 0, recalled: [], splits: 0, turns: 0,
                     answer: nil, pieces: nil)
        @move = move
        @counts = counts
        @recalled = recalled.freeze
        @splits = splits
        @turns = turns
        @landings = landings.freeze
        @equations = equations.freeze
        @says = says
        @acting = acting
        @answer = answer || landings.last
        @by_steps = !answer.nil?
        @pieces = pieces
        freeze
      end

      # @return [Numeric] a count and a split 1 each, a turn 1.5, a recall by its kind
      def self.work(counts: 0, recalled: [], splits: 0, turns: 0)
        (counts * COUNT) + (splits * SPLIT) + (turns * TURN) + recalled.sum { |kind| RECALL.fetch(kind) }
      end

      # @param problem [Problem]
      # @return [Array<Path>] rung by rung
      def self.all(problem)
        own = Move::ALL.filter_map { |move| move.path(problem) }
        if problem.two_sided?
          (BothSides.paths(problem) + own).sort_by.with_index do |path, index|
            [path.rung, index]
          end
        else
          own
        end
      end

      # @return [Path, nil] how that rung would most likely sound here
      def self.usual(problem, level) = of_rung(problem, level).min_by { |path| [path.move.usual ? 0 : 1, path.work] }

      # @return [Hash{String => String, nil}] what each rung would say, by its id; nil where it is not afforded
      def self.sounds(problem) = Rung::ALL.to_h { |rung| [rung.id, usual(problem, rung.level)&.says] }

      # @param move [String, nil] an id
      # @return [Path, nil] how that move goes for the problem
      def self.by(problem, move) = problem.paths.find { |path| path.move.id == move }

      # @param move [String, nil] the move that was noted, if one was
      # @return [Path, nil] its path; else the usual one of that rung
      def self.heard(problem, level, move) = by(problem, move) || usual(problem, level)

      def self.of_rung(problem, level) = problem.paths.select { |path| path.rung == level }
      private_class_method :of_rung

      # Whether the answer is how many steps there were, not where the last one landed.
      def by_steps? = @by_steps

      def rung = move.rung
      def recalls = recalled.size
      def scenes = acting.scenes
      def work = Path.work(**costs)
      def costs = { counts: counts, recalled: recalled, splits: splits, turns: turns }

      # Whether each count is a step of one: what fingers can keep track of.
      def by_ones? = landings.each_cons(2).map { |one, after| (after - one).abs } == [1] * counts && counts.positive?

      # A later part of the same work, done after this one.
      # @param later [Path]
      # @param move [Move] whose path the two are together
      # @return [Path]
      def then(later, move:)
        both = costs.merge(later.costs) { |_, one, other| one + other }
        stood_on = (landings + later.landings).chunk_while { |one, after| one == after }.map(&:first)
        Path.new(move: move, landings: stood_on, equations: equations + later.equations, says: "#{says} #{later.says}",
                 acting: acting, answer: (later.answer if later.by_steps?), **both)
      end

      def to_h
        { rung: move.rung_id, move: move.id, counts: counts, recalls: recalls, recalled: recalled, splits: splits,
          turns: turns,
          work: work, landings: landings, equations: equations, says: says }
      end
    end
  end
end
