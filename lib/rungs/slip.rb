# frozen_string_literal: true

module Rungs
  # A procedure that yields a wrong answer (guide 6). What a slip is, is all in its entry under tables/. It is known by
  # its table and its id together: taking away and adding have slips of one name that are not the same.
  class Slip
    Rungs.shelve self

    attr_reader :id, :table, :title, :rungs, :prior

    # @param table [String] which kind of problem it belongs to, of Tables::NAMES
    # @param title [String] what it is called in a list, in a few words
    # @param prior [Integer] bigger is commoner
    # @param answers [Proc] Problem → the wrong answers it gives, in a fixed order; nil or [] where it does not apply
    # @param why [Proc] Problem, answer → a line in a teacher's words
    # @param asks [String, Hash, Proc] one question to ask; by the situation told or its kind, the usual one under nil;
    #   or by the Problem
    # @param rungs [Array<String>] the strategies it belongs to; empty for any
    # @param of_zero [Boolean] whether it comes of a part of nothing
    # @param also_with_zero [Boolean] whether it can be with a part of nothing too, as counting one off can, and the
    #   other operation
    def initialize(id:, table:, title:, prior:, answers:, why:, asks:, rungs: [], of_zero: false, also_with_zero: false)
      @id = id
      @table = table
      @title = title
      @prior = prior
      @answers = answers
      @why = why
      @asks = asks
      @rungs = rungs
      @of_zero = of_zero
      @also_with_zero = also_with_zero
      freeze
    end

    # By what it is known.
    def key = "#{table}.#{id}"

    # @param problem [Problem]
    # @return [Array<Integer, nil>] what a child says who makes it, nil where one of its answers does not apply; the
    #   right answer and numbers below zero are no slips
    def answers(problem)
      said = possible?(problem) ? Array(@answers.call(problem)) : []
      said.map { |number| number unless number.nil? || number == problem.answer || number.negative? }
    end

    # Which of its answers that is, from 0; nil where it is none of them.
    # @param answer [Integer]
    def place_of(answer, problem) = answers(problem).index(answer)

    # What it would give on another problem; the right answer where it cannot happen there.
    def predict(problem, place) = answers(problem)[place] || problem.answer

    # Whether it can be, when that strategy was recorded (nil: none was).
    def fits?(rung) = rung.nil? || rungs.empty? || rungs.include?(rung)

    # @return [String] a line in a teacher's words
    def why(problem, answer) = @why.call(problem, answer)

    # @return [String] a question to ask, fit for what is told
    def ask(problem)
      return @asks if @asks.is_a?(String)
      return @asks.call(problem) if @asks.is_a?(Proc)

      told = problem.situation
      @asks.values_at(told&.id, told&.kind, nil).compact.first
    end

    ALL = Tables.entries.map { |entry| new(**entry) }.freeze
    BY_TABLES = ALL.group_by(&:table).freeze
    private_constant :BY_TABLES

    # @param problem [Problem]
    # @return [Array<Slip>] those of the tables it looks into
    def self.for(problem, among = ALL)
      tables = Tables.of(problem)
      return BY_TABLES.values_at(*tables).flatten if among.equal?(ALL)

      among.select { |slip| tables.include?(slip.table) }
    end

    # The tables of an operation, the commonest first.
    OF_OPERATION = { "add" => %w[whole], "subtract" => %w[part missing] }.freeze
    private_constant :OF_OPERATION

    # @param id [String]
    # @param operation ["add", "subtract"]
    # @return [String] what it is called where that operation is worked on
    def self.title_in(id, operation)
      named = ALL.select { |slip| slip.id == id }
      (named.find { |slip| OF_OPERATION.fetch(operation).include?(slip.table) } || named.first).title
    end

    # @param id [String] as it was recorded on that problem
    # @return [Slip, nil]
    def self.on(problem, id) = self.for(problem).find { |slip| slip.id == id }

    # @param ids [Array<String>] of slips that might be hinted at
    # @return [Array<Slip>] those that can happen with these numbers
    def self.possible(problem, ids)
      ids.filter_map { |id| on(problem, id) }.select { |slip| slip.answers(problem).any? }
    end

    # What numbers heard may be, with the slip that a quick wrong answer may come from: one that a known fact may show,
    # else any (guide 5).
    # @return [Array<Strategy::Hearing::Candidate>]
    def self.heard(problem, numbers, seconds: nil)
      origin = lambda do |said|
        %w[known_fact unseen].filter_map { |rung| Diagnosis.new(problem, said, rung: rung).slips.first }.first
      end
      Strategy::Hearing.of(problem, numbers, seconds: seconds, origin: origin)
    end

    private

    # Whether the problem lets it show: nothing is counted on in 5 + 0.
    def possible?(problem)
      return @of_zero || @also_with_zero if problem.smaller.zero?

      !@of_zero && (rungs.empty? || problem.affords.any? { |level| rungs.include?(Strategy::Rung.at(level).id) })
    end
  end
end
