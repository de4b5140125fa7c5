# frozen_string_literal: true

module Rungs
  module Progress
    # One answer heard, as far as the rules need it.
    #
    # day: Date in the class's time zone. rung: 1..5, or nil where it was off the ladder. affords: the rungs the
    # problem affords. fact: its parts, sorted. exact: the fact as it is known, Problem#exact_fact. tells: whether the
    # problem tells how a child works. help: "alone", "prompted" or "shown". ear: Clip::Confusions of who heard it,
    # where that person's table is to count; nil as a rule.
    Record = Struct.new(:day, :rung, :affords, :fact, :exact, :tells, :right, :help, :ear, keyword_init: true) do
      # @param problem [Problem]
      # @return [Record]
      def self.on(problem, **heard)
        new(affords: problem.affords, fact: problem.fact, exact: problem.exact_fact, tells: problem.tells?, **heard)
      end

      def on_ladder? = !rung.nil?
      def alone? = help == "alone"

      # It was worked out, and not known.
      def worked_out? = on_ladder? && rung < 5

      # Whether it says by itself how the child works: alone, on a problem that tells, or by counting all, which says
      # it on any.
      def shows? = worked_out? && alone? && (tells || rung == 1)

      # Whether it says if a fact is known.
      def about_fact? = on_ladder? && alone? && !exact.nil?
    end
  end
end
