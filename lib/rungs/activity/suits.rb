# frozen_string_literal: true

module Rungs
  module Activity
    # What an activity is for (guide 11): add, subtract, both: the bands where it is for that operation; rungs: those
    # that it lets show, beside 5; ten: the bands where making ten shows too; parts: whether its items are parts and
    # wholes, which fit both operations. Without bands it is no focus of a day.
    Suits = Struct.new(:both, :add, :subtract, :rungs, :ten, :parts, keyword_init: true) do
      def initialize(both: [], add: [], subtract: [], rungs: [], ten: [], parts: false) = super

      # @param aim [Planning::Aim] or whatever has operation, range and rung
      def aim?(aim)
        ranges(aim.operation).include?(aim.range) &&
          (rungs.include?(aim.rung) || aim.rung == 5 || (aim.rung == 4 && ten.include?(aim.range)))
      end

      # @param operation ["add", "subtract"]
      # @return [Array<String>] bands
      def ranges(operation) = both + self[operation.to_sym]

      # Whether a problem of its is of that operation: a missing part fits both.
      def operation?(problem, operation) = parts || problem.operation == operation || problem.missing_part?
    end
    Suits::TO_100 = Problem::Band::ORDER
    Suits::TO_20 = Suits::TO_100.first(5).freeze
  end
end
