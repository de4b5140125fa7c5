# frozen_string_literal: true

module Rungs
  module Progress
    # One answer heard, as far as the rules need it.
    #
    # day: Date in the class's time zone. rung: 1..5, or nil where it was off the ladder. affords: the rungs the
    # problem affords. fact: the two parts, sorted. help: "alone", "prompted" or "shown". ear: Clip::Confusions of who
    # heard it, where that person's table is to count; nil as a rule.
    Record = Struct.new(:day, :rung, :affords, :fact, :right, :help, :ear, keyword_init: true) do
      def weighed? = !rung.nil?
      def alone? = help == "alone"
    end
  end
end
