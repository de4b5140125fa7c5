# frozen_string_literal: true

module Records
  class Evidence
    # One record with the row behind it, for pages that show both; what is not looked at is not made.
    class Heard
      # What is read of a record and of its problem.
      COLUMNS = %i[id first_key child_id problem_id account_id happened_at code rung move answer right used help heard
                   slip].freeze
      POSED = %i[operation band affords parts equation situation unknown].freeze

      attr_reader :record

      # @param ears [Hash{Integer => Rungs::Clip::Confusions}] by account
      def initialize(row, day, ears = {})
        @row = row
        @record = EstimateRows.record(row, day, ears[row[:account_id]])
      end

      def operation = @row[:operation]
      def band = @row[:band]

      def situation = @row[:situation]

      # Whether it answers a missing part: by its story where it has one.
      def missing_part?
        situation ? Rungs::Problem::Situation::ALL.fetch(situation).missing_part : problem.missing_part?
      end

      def equation = @row[:equation]
      def key = @row[:first_key]
      def happened_at = @row[:happened_at]
      def account_id = @row[:account_id]
      def child_id = @row[:child_id]
      def problem_id = @row[:problem_id]
      def move = @row[:move]
      def used = @row[:used].to_a

      # The numbers that were heard, in order.
      def numbers = @row[:heard].to_a
      def summary = @summary ||= Observation.call(@row.slice(*COLUMNS)).summary

      # @return [Rungs::Problem]
      def problem = @problem ||= PosedProblem.problem_of(@row)

      # @return [Rungs::Slip, nil] the slip that was recorded, of the table its problem looks into
      def slip = @row[:slip] && Rungs::Slip.on(problem, @row[:slip])

      # @param scope [String] as Scope names it
      def of?(operation, scope)
        return false unless @row[:operation] == operation

        @row[:band] == scope || (Scope.family?(scope) && Scope.of(@row[:band], @row[:parts].to_a).include?(scope))
      end
    end
  end
end
