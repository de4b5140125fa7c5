# frozen_string_literal: true

require "concurrent/map"

module Records
  # A core record as one whole number, so that a row can hold many: the day, the rung, whether it was right, the help,
  # what the problem affords, its fact (two or three parts), which of them was taken, and whether it tells.
  module Packed
    EPOCH = Date.new(2000, 1, 1)
    HELP = Rungs::Progress::Rule::DEFAULT.help.keys.freeze
    WIDTHS = { tells: 1, exact: 2, third: 8, second: 7, first: 7, affords: 6, help: 2, right: 1, rung: 3 }.freeze
    BITS = WIDTHS.values.sum
    # Where the fact stands as it is known: nowhere, as a sum, with its smaller or its larger part taken.
    EXACT = [->(_) {}, ->(fact) { fact }, ->(fact) { [fact.sum, fact[0]] }, ->(fact) { [fact.sum, fact[1]] }].freeze

    # A packed record that has not been looked into: what carrying on needs of it is its day, and whether it tells how
    # something was worked out.
    Sealed = Struct.new(:packed) do
      def day = Packed.day(packed)
      def worked_out? = (packed & 7) < 5
      def tells = packed[BITS - 1] == 1
    end

    module_function

    # @param record [Rungs::Progress::Record, Sealed] on the ladder
    # @return [Integer]
    def pack(record)
      return record.packed if record.is_a?(Sealed)

      first, second, third = record.fact
      affords = record.affords.sum { |rung| 1 << rung }
      exact = EXACT.index { |form| form.call(record.fact) == record.exact }
      fields = { tells: record.tells ? 1 : 0, exact: exact, third: third ? third + 1 : 0, second: second, first: first,
                 affords: affords,
                 help: HELP.index(record.help), right: record.right ? 1 : 0, rung: record.rung }
      WIDTHS.reduce((record.day - EPOCH).to_i) { |packed, (name, width)| (packed << width) | fields.fetch(name) }
    end

    # @return [Date]
    def day(packed) = DAYS[packed >> BITS]

    # The widths above, field by field; a page unpacks thousands, the same again and again, so the last ones are kept.
    # @return [Rungs::Progress::Record]
    def unpack(packed)
      RECORDS.clear if RECORDS.size > KEPT
      fact = FACTS[(packed >> 12) & 4_194_303]
      RECORDS[packed] ||= Rungs::Progress::Record.new(
        day: day(packed), rung: packed & 7, right: packed[3] == 1, help: HELP[(packed >> 4) & 3], fact: fact,
        affords: AFFORDS[(packed >> 6) & 63], exact: EXACT[(packed >> 34) & 3].call(fact), tells: packed[BITS - 1] == 1
      ).freeze
    end

    DAYS = Concurrent::Map.new { |all, number| all[number] = EPOCH + number }
    FACTS = Concurrent::Map.new do |all, bits|
      all[bits] = [bits & 127, (bits >> 7) & 127, ((bits >> 14) - 1 if bits >= 16_384)].compact.freeze
    end
    AFFORDS = Concurrent::Map.new { |all, bits| all[bits] = (1..5).select { |rung| bits[rung] == 1 }.freeze }
    RECORDS = Concurrent::Map.new
    KEPT = 50_000
    private_constant :RECORDS, :KEPT, :AFFORDS, :DAYS, :FACTS
  end
end
