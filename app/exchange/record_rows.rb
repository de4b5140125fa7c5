# frozen_string_literal: true

require "csv"
require "date"

module Exchange
  # Records from a table of one's own: child, date, equation, rung, move, answer, help, seconds. Rung is a rung's id or
  # number, or an off-ladder code; what is empty is taken as usual (alone, right).
  class RecordRows
    COLUMNS = %w[child date equation rung move answer help seconds].freeze
    NEEDED = %w[child date equation rung].freeze
    MOST = 200_000

    # @param text [String] CSV with a header, in any order of columns
    # @return [Array<RecordLine::Row>] by day; those of one day in the order of the file
    # @raise [Rungs::Error::Unreadable] with the line that is off
    def self.read(text) = new(text).rows

    def initialize(text)
      text = text.dup.force_encoding(Encoding::UTF_8).delete_prefix("\uFEFF")
      raise Rungs::Error::Unreadable, "the file is not UTF-8 text" unless text.valid_encoding?

      plain = ->(name) { name.to_s.strip.downcase }
      @table = CSV.parse(text, headers: true, skip_blanks: true, header_converters: plain)
    rescue CSV::MalformedCSVError => e
      raise Rungs::Error::Unreadable, "the file cannot be read as CSV: #{e.message}"
    end

    def rows
      missing = NEEDED - @table.headers.compact
      if missing.any?
        raise Rungs::Error::Unreadable,
              "a column is missing: #{missing.join(', ')}; the columns are #{COLUMNS.join(',')}"
      end
      raise Rungs::Error::Unreadable, "there are more than #{MOST} rows" if @table.size > MOST

      read = @table.each.with_index(2).map { |row, line| RecordLine.read(row, line) }
      read.each_with_index.sort_by { |row, index| [row.record.day, index] }.map(&:first)
    end
  end
end
