# frozen_string_literal: true

require "concurrent/map"

module Records
  # A core record as one whole number, so that a row can hold many: the day, the rung, whether it was right, the help,
  # what the problem affords, and its fact (two or three parts).
  module Packed
    EPOCH = Date.new(2000, 1, 1)
    HELP = Rungs::Progress::Rule::DEFAULT.help.keys.freeze
    WIDTHS = { third: 8, second: 7, first: 7, affords: 6, help: 2, right: 1, rung: 3 }.freeze

    # A packed record that has not been looked into: what carrying on needs of it is its day.
    Sealed = Struct.new(:packed) do
      def day = Packed.day(packed)
    end

    BITS = WIDTHS.values.sum

    module_function

    # @param record [Rungs::Progress::Record, Sealed] weighed
    # @return [Integer]
    def pack(record)
      return record.packed if record.is_a?(Sealed)

      first, second, third = record.fact
      affords = record.affords.sum { |rung| 1 << rung }
      fields = { third: third ? third + 1 : 0, second: second, first: first, affords: affords,
                 help: HELP.index(record.help), right: record.right ? 1 : 0, rung: record.rung }
      WIDTHS.reduce((record.day - EPOCH).to_i) { |packed, (name, width)| (packed << width) | fields.fetch(name) }
    end

    # @return [Date]
    def day(packed) = DAYS[packed >> BITS]

    # The widths above, field by field; a page unpacks thousands, the same again and again, so the last ones are kept.
    # @return [Rungs::Progress::Record]
    def unpack(packed)
      RECORDS.clear if RECORDS.size > KEPT
      RECORDS[packed] ||= Rungs::Progress::Record.new(
        day: day(packed), rung: packed & 7, right: packed[3] == 1, help: HELP[(packed >> 4) & 3],
        affords: AFFORDS[(packed >> 6) & 63], fact: FACTS[(packed >> 12) & 4_194_303]
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
