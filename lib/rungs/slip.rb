# frozen_string_literal: true

module Rungs
  # A procedure that yields a wrong answer (field guide 6). What a slip is, is all in its entry under tables/.
  class Slip
    Rungs.shelve self, :Diagnosis, :Probe, :Tables
    autoload :TITLES, File.join(LIBRARY, "rungs/slip/titles.rb")

    attr_reader :id, :table, :rungs, :prior, :asks

    # @param table [String] which kind of problem it belongs to, of Tables::NAMES
    # @param prior [Integer] bigger is commoner
    # @param answers [Proc] Problem → the wrong answers it gives, in a fixed order; nil or [] where it does not apply
    # @param why [Proc] Problem, answer → a line in a teacher's words
    # @param asks [String] one question to ask
    # @param rungs [Array<String>] the strategies it belongs to; empty for any
    def initialize(id:, table:, prior:, answers:, why:, asks:, rungs: [])
      @id = id
      @table = table
      @prior = prior
      @answers = answers
      @why = why
      @asks = asks
      @rungs = rungs
      freeze
    end

    # @param problem [Problem]
    # @return [Array<Integer>] what a child says who makes it; the right answer and numbers below zero are no slips
    def answers(problem)
      right = problem.answer
      Array(@answers.call(problem)).map { |number| number unless number.nil? || number == right || number.negative? }
    end

    # Which of its answers that is, from 0; nil where it is none of them.
    def place_of(answer, problem)
      return if answer == problem.answer || answer.negative?

      said = @answers.call(problem)
      said.is_a?(Array) ? said.index(answer) : (0 if said == answer)
    end

    # What it would give on another problem; the right answer where it cannot happen there.
    def predict(problem, place) = answers(problem)[place] || problem.answer

    # Whether it can be, when that strategy was recorded (nil: none was).
    def fits?(rung) = rung.nil? || rungs.empty? || rungs.include?(rung)

    def why(problem, answer) = @why.call(problem, answer)

    # @return [String] a slip in a few words, by its id
    def self.title(id) = TITLES.fetch(id) { raise Error::Unknown, "there is no slip “#{id}”" }

    ALL = Tables.entries.map { |entry| new(**entry) }.freeze
    BY_TABLES = {}.compare_by_identity
    private_constant :BY_TABLES

    # @param problem [Problem]
    # @return [Array<Slip>] those that belong to problems of its kind
    def self.for(problem, among = ALL)
      tables = Tables.of(problem)
      return among.select { |slip| tables.include?(slip.table) } unless among.equal?(ALL)

      BY_TABLES[tables] ||= ALL.select { |slip| tables.include?(slip.table) }
    end
  end
end
