# frozen_string_literal: true

require "csv"
require "date"

module Exchange
  # Records from a table of one's own: child, date, equation, rung, move, answer, help, seconds. Rung is a rung's id or number, or
  # an off-ladder code; what is empty is taken as usual (alone, right).
  class RecordRows
    COLUMNS = %w[child date equation rung move answer help seconds].freeze
    NEEDED = %w[child date equation rung].freeze
    MOST = 200_000

    # One row: whose it is, where it belongs, and what the rules need of it.
    Row = Struct.new(:child, :operation, :band, :record, :problem, :answer, keyword_init: true)

    # @param text [String] CSV with a header, in any order of columns
    # @return [Array<Row>] by day; those of one day in the order of the file
    # @raise [Rungs::Error::Unreadable] with the line that is off
    def self.read(text) = new(text).rows

    def initialize(text)
      text = text.dup.force_encoding(Encoding::UTF_8).delete_prefix("\uFEFF")
      raise Rungs::Error::Unreadable, "the file is not UTF-8 text" unless text.valid_encoding?

      @table = CSV.parse(text, headers: true, skip_blanks: true, header_converters: ->(name) { name.to_s.strip.downcase })
    rescue CSV::MalformedCSVError => e
      raise Rungs::Error::Unreadable, "the file cannot be read as CSV: #{e.message}"
    end

    def rows
      missing = NEEDED - @table.headers.compact
      raise Rungs::Error::Unreadable, "a column is missing: #{missing.join(', ')}; the columns are #{COLUMNS.join(',')}" if missing.any?
      raise Rungs::Error::Unreadable, "there are more than #{MOST} rows" if @table.size > MOST

      @table.each.with_index(2).map { |row, line| row(row, line) }.each_with_index.sort_by { |row, index| [row.record.day, index] }.map(&:first)
    end

    private

    def row(cells, line)
      problem = parse(cells["equation"].to_s)
      answer = number(cells["answer"], "answer")
      record = Rungs::Progress::Record.new(day: Date.iso8601(cells["date"].to_s.strip), rung: rung(cells["rung"].to_s.strip), affords: problem.affords, fact: problem.fact,
                                           right: answer.nil? || problem.right?(answer), help: help(cells["help"].to_s.strip))
      known_move(cells["move"].to_s.strip)
      number(cells["seconds"], "seconds")
      Row.new(child: name(cells["child"].to_s.strip), operation: problem.operation, band: problem.band, record: record, problem: problem, answer: answer)
    rescue Rungs::Error, Date::Error => e
      raise Rungs::Error::Unreadable, "line #{line}: #{e.is_a?(Date::Error) ? "“#{cells['date']}” is not a date; write 2026-11-20" : e.message}"
    end

    PROBLEMS = Hash.new { |all, text| all[text] = Rungs::Problem::Equation.parse(text).to_problem }
    private_constant :PROBLEMS

    def parse(text) = PROBLEMS[text]
    def name(text) = text.empty? ? raise(Rungs::Error::Unreadable, "the child has no name") : text

    def rung(text)
      return if Rungs::Strategy::OffLadder::ALL.key?(text)
      return Rungs::Strategy::Rung.at(text.to_i).level if text.match?(/\A[1-5]\z/)

      Rungs::Strategy::Rung::ALL.fetch(text).level
    end

    def help(text)
      return "alone" if text.empty?

      known = Rungs::Progress::Rule::DEFAULT.help.keys
      known.include?(text) ? text : raise(Rungs::Error::Unreadable, "there is no help “#{text}”; there are #{known.join(', ')}")
    end

    def known_move(text) = text.empty? || Rungs::Strategy::Move::ALL.fetch(text)

    def number(cell, what)
      text = cell.to_s.strip
      return if text.empty?

      text.match?(/\A\d{1,4}(\.\d+)?\z/) ? text.to_i : raise(Rungs::Error::Unreadable, "“#{text}” is no number for #{what}")
    end
  end
end
