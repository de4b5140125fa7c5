# frozen_string_literal: true

require "csv"

module Exchange
  # A table of answers somebody kept elsewhere: which column is what, what of it can be read, and what is there already.
  # It is read a line at a time.
  class AnswerTable
    # What a column may be, with the headings it is known by.
    KNOWN = {
      "child" => %w[child name pupil student first_name], "date" => %w[date day when heard_on],
      "equation" => %w[equation problem sum sentence], "rung" => %w[rung strategy heard code how],
      "move" => %w[move], "answer" => %w[answer said], "help" => %w[help], "seconds" => %w[seconds secs]
    }.freeze
    NEEDED = RecordRows::NEEDED
    MOST = RecordRows::MOST
    MOST_BYTES = 64 * (1024**2)
    MOST_FAULTS = 50

    # No answer is of an earlier day.
    FIRST = Date.new(2000, 1, 1)

    # number: of the line. why: in words.
    Fault = Struct.new(:number, :why, keyword_init: true)

    # @param path [String] CSV with a header; by commas, semicolons or tabs
    # @param today [Date] no answer is of a later day
    # @param columns [Hash{String => String}] what is read from which heading; nil: as its headings say
    # @raise [Rungs::Error::Unreadable]
    def initialize(path, today:, columns: nil)
      @path = path
      @days = FIRST..today
      large = File.size(path) > MOST_BYTES
      raise Rungs::Error::Unreadable, "that table is larger than #{MOST_BYTES / (1024**2)} MB" if large

      @headings = read_headings
      @columns = columns ? columns.slice(*KNOWN.keys).select { |_, from| @headings.include?(from) } : guess
    end

    attr_reader :headings, :columns

    def missing = NEEDED - columns.keys

    # @return [Integer] how many there are, as a text has them
    def lines = @lines ||= File.foreach(@path).count

    # @yield [RecordLine::Row] each line that can be read; the others are among the faults afterwards
    # @return [Integer] how many were read
    # @raise [Rungs::Error::TooMany]
    def each_row
      @faults, read = [], 0
      each_line do |cells, number|
        raise Rungs::Error::TooMany, "there are more than #{MOST} lines in that table" if number > MOST + 1

        yield row(cells, number)
        read += 1
      rescue Rungs::Error::Unreadable => e
        @faults << Fault.new(number: number, why: e.message.sub(/\Aline \d+: /, "")) if @faults.size < MOST_FAULTS
      end
      read
    end

    # @return [Array<Fault>] the first of them
    def faults = @faults.to_a

    private

    def row(cells, number)
      row = RecordLine.read(columns.transform_values { |from| cells[from] }, number)
      return row if @days.cover?(row.record.day)

      raise Rungs::Error::Unreadable, "#{row.record.day.iso8601} is no day on which this class was heard"
    end

    def options = @options ||= { col_sep: separator, liberal_parsing: true, skip_blanks: true }

    def separator
      first = File.open(@path, "r:bom|utf-8", &:gets).to_s
      [",", ";", "\t"].max_by { |each| first.scrub.count(each) }
    end

    def read_headings
      first = CSV.open(@path, "r:bom|utf-8", **options, &:shift)
      raise Rungs::Error::Unreadable, "there is nothing in that table" unless first

      first.map { |each| each.to_s.strip }
    rescue CSV::MalformedCSVError, ArgumentError, Encoding::InvalidByteSequenceError
      raise Rungs::Error::Unreadable, "that is no table in UTF-8 text"
    end

    def guess
      plain = @headings.to_h { |each| [each, each.downcase.tr(" -", "__")] }
      found = KNOWN.transform_values { |names| plain.find { |_, name| names.include?(name) }&.first }
      found.compact
    end

    def each_line
      number = 1
      plain = { headers: true, header_converters: ->(name) { name.to_s.strip } }
      CSV.foreach(@path, "r:bom|utf-8", **plain, **options) { |cells| yield cells, number += 1 }
    rescue CSV::MalformedCSVError, ArgumentError
      @faults << Fault.new(number: number + 1, why: "cannot be read as a line of a table; nothing after it was read")
    end
  end
end
