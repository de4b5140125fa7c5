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

    # One row: whose it is, where it belongs, and what the rules need of it.
    Row = Struct.new(:child, :operation, :band, :record, :problem, :answer, keyword_init: true)

    # @param text [String] CSV with a header, in any order of columns
    # @return [Array<Row>] by day; those of one day in the order of the file
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

      read = @table.each.with_index(2).map { |row, line| row(row, line) }
      read.each_with_index.sort_by { |row, index| [row.record.day, index] }.map(&:first)
    end

    private

    def row(cells, line)
      problem = parse(cells["equation"].to_s)
      answer = number(cells["answer"], "answer")
      known_move(text(cells, "move"))
      number(cells["seconds"], "seconds")
      Row.new(child: name(text(cells, "child")), operation: problem.operation, band: problem.band, problem: problem,
              answer: answer,
              record: record(cells, problem, answer))
    rescue Rungs::Error => e
      raise Rungs::Error::Unreadable, "line #{line}: #{e.message}"
    end

    def text(cells, column) = cells[column].to_s.strip

    def record(cells, problem, answer)
      Rungs::Progress::Record.new(
        day: day(text(cells, "date")), rung: rung(text(cells, "rung")), affords: problem.affords, fact: problem.fact,
        right: answer.nil? || problem.right?(answer), help: help(text(cells, "help"))
      )
    end

    def day(text)
      Date.iso8601(text)
    rescue Date::Error
      raise Rungs::Error::Unreadable, "“#{text}” is not a date; write 2026-11-20"
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
      return text if known.include?(text)

      raise Rungs::Error::Unreadable, "there is no help “#{text}”; there are #{known.join(', ')}"
    end

    def known_move(text) = text.empty? || Rungs::Strategy::Move::ALL.fetch(text)

    def number(cell, what)
      text = cell.to_s.strip
      return if text.empty?

      raise Rungs::Error::Unreadable, "“#{text}” is no number for #{what}" unless text.match?(/\A\d{1,4}(\.\d+)?\z/)

      text.to_i
    end
  end
end
