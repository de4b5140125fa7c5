# frozen_string_literal: true

require "date"

module Exchange
  # One line of a table of answers.
  module RecordLine
    # Whose it is, where it belongs, and what the rules need of it.
    Row = Struct.new(:child, :operation, :band, :record, :problem, :answer, :code, :move, :seconds,
                     keyword_init: true) do
      def missing_part? = problem.missing_part?
    end
    # Problems that were read are kept, some thousands of them.
    MOST = 5000
    # What made a cell harmless to a spreadsheet.
    HARMLESS = /\A'(?=[=+\-@])/

    module_function

    # @param cells [#[]] by COLUMNS of RecordRows
    # @param line [Integer] its number
    # @return [Row]
    # @raise [Rungs::Error::Unreadable] saying which line
    def read(cells, line)
      problem = parse(cells["equation"].to_s)
      answer = number(cells["answer"], "answer")
      known_move(text(cells, "move"))
      Row.new(child: name(text(cells, "child")), operation: problem.operation, band: problem.band, problem: problem,
              answer: answer, record: record(cells, problem, answer), code: code(text(cells, "rung")),
              move: text(cells, "move")[/.+/], seconds: number(cells["seconds"], "seconds"))
    rescue Rungs::Error => e
      raise Rungs::Error::Unreadable, "line #{line}: #{e.message}"
    end

    def text(cells, column) = cells[column].to_s.strip.sub(HARMLESS, "")

    def record(cells, problem, answer)
      Rungs::Progress::Record.on(
        problem, day: day(text(cells, "date")), rung: rung(text(cells, "rung")),
                 right: answer.nil? || problem.right?(answer), help: help(text(cells, "help"))
      )
    end

    def day(text)
      Date.iso8601(text)
    rescue Date::Error
      raise Rungs::Error::Unreadable, "“#{text}” is not a date; write 2026-11-20"
    end

    PROBLEMS = Hash.new do |all, text|
      (all.size < MOST ? all : all.clear)[text] = Rungs::Problem::Equation.parse(text).to_problem
    end
    private_constant :PROBLEMS

    def parse(text) = PROBLEMS[text]
    def name(text) = text.empty? ? raise(Rungs::Error::Unreadable, "the child has no name") : text

    def rung(text) = Rungs::Strategy::Rung::ALL[code(text)]&.level

    # @return [String] of a rung, also where it is told by its number; or off the ladder
    def code(text)
      return text if Rungs::Strategy::OffLadder::ALL.key?(text)
      return Rungs::Strategy::Rung.at(text.to_i).id if text.match?(/\A[1-5]\z/)

      Rungs::Strategy::Rung::ALL.fetch(text).id
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
    private_class_method :text, :record, :code, :day, :rung, :parse, :name, :help, :known_move, :number
  end
end
