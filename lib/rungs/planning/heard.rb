# frozen_string_literal: true

module Rungs
  module Planning
    # What was heard of one child before a week, as a plan in one operation has it.
    #
    #   own: by range, the records of the operation in the order they happened. parts: by range, those of the other
    #   operation that answer a missing part. other: all of the other operation.
    Heard = Struct.new(:own, :parts, :other, keyword_init: true) do
      # @param answers [Array<#operation, #band, #missing_part?, #record>] one child's, in the order they happened
      # @param operation ["add", "subtract"]
      # @param before [Date] the first day of the week: what was heard on it or later is left out
      # @return [Heard]
      def self.of(answers, operation, before:)
        there = answers.select { |each| each.record.on_ladder? && each.record.day < before }
        own, others = there.partition { |each| each.operation == operation }
        new(own: by_range(own), parts: by_range(others.select(&:missing_part?)), other: others.map(&:record))
      end

      def self.by_range(answers)
        answers.group_by(&:band).transform_values { |all| all.map(&:record) }
      end
      private_class_method :by_range

      # Whether so many were heard in the operation that the child counts as heard at all.
      def enough? = own.values.sum(&:size) >= Heard::LEAST

      # @return [Array<Progress::Record>] in a range, those on problems that tell
      def telling(range) = own.fetch(range, []).select(&:tells)

      # What counts for an aim in a range: answers to missing parts count for either operation.
      def for_aim(range) = in_order(own.fetch(range, []) + parts.fetch(range, []))

      # @return [Progress::NextProblems::History]
      def history = @history ||= Progress::NextProblems::History.new(in_order(own.values.flatten), other)

      private

      def in_order(records) = records.sort_by.with_index { |record, at| [record.day, at] }
    end
    Heard::LEAST = 2
    Heard::NONE = Heard.new(own: {}, parts: {}, other: [])
  end
end
