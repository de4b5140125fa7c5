# frozen_string_literal: true

module Rungs
  class Slip
    # The tables of guide 6: which of them a problem looks into, and their entries. A slip is known by its table and its
    # id together.
    module Tables
      Rungs.shelve self

      NAMES = %w[whole part missing two_sided teens].freeze
      COUNTING = %w[count_all count_on].freeze

      # Both parts below ten and the whole beyond it.
      BRIDGING = ->(problem) { problem.band == "bridge" && problem.shape == :two }

      module_function

      # @param problem [Problem]
      # @return [Array<String>] of NAMES
      def of(problem)
        [kind(problem), ("teens" if problem.band == "teens" && !problem.add?)].compact
      end

      def kind(problem)
        return if problem.many_answers?
        return "two_sided" if problem.two_sided?
        return "whole" if problem.add?

        problem.missing_part? ? "missing" : "part"
      end
      private_class_method :kind

      # @return [Array<Hash>] as Slip.new takes them
      def entries
        { "whole" => Whole::ENTRIES + Beyond::WHOLE, "part" => Part::ENTRIES + Beyond::PART,
          "missing" => Missing::ENTRIES + Beyond::PART, "two_sided" => [*TwoSided::ENTRIES, Beyond::HEARD],
          "teens" => Teens::ENTRIES }
          .flat_map { |name, entries| entries.map { |entry| { table: name, **entry } } }
      end
    end
  end
end
