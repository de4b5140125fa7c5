# frozen_string_literal: true

# Made-up classes as a week begins.
module ClassAsAWeekBegins
  MONDAY = Date.new(2026, 11, 30)
  ORDER = Rungs::Planning::Ranges::ORDER
  # By range, facts that tell.
  FACTS = Rungs::Problem::Band::ALL.to_h { |band| [band.id, band.telling_facts] }.freeze
  Answer = Struct.new(:operation, :band, :missing, :record, keyword_init: true) do
    def missing_part? = missing == true
  end

  def record(day, rung, fact, right: true, help: "alone", tells: true)
    Rungs::Progress::Record.new(day: day, rung: rung, affords: [1, 2, 3, 4, 5], fact: fact, exact: fact.sort,
                                tells: tells, right: right, help: help)
  end

  # @param rungs [Array<Integer>] of the answers, one a day, the last on the day before
  # @param range [String] of whose facts that tell they are, one after the other
  def heard(*rungs, range: "to10", back: 1, **more)
    rungs.each_with_index.map do |rung, place|
      record(MONDAY - back - (rungs.size - 1 - place), rung, FACTS.fetch(range)[place % FACTS.fetch(range).size],
             **more)
    end
  end

  # @param by_range [Hash{String => Array<Record>, Array<Integer>}] records, or the rungs of one a day
  def answers(by_range, operation: "add", missing: false)
    by_range.flat_map do |range, records|
      records = heard(*records, range: range) if records.first.is_a?(Integer)
      records.map { |each| Answer.new(operation: operation, band: range, missing: missing, record: each) }
    end
  end

  # @param children [Hash{String => Hash, Array<Answer>}] by child, what answers takes, or answers
  def standing(children, operation: "add", **more)
    told = children.transform_values { |each| each.is_a?(Hash) ? answers(each, operation: operation) : each }
    Rungs::Planning::Standing.of(told, operation: operation, on: MONDAY, **more)
  end

  # So many children who all work on a rung in a range.
  def alike(many, range, rung, **more)
    standing(("a".."z").first(many).to_h { |name| [name, { range => [rung] * 6 }] }, **more)
  end

  def aim(operation, range, rung, year: "first")
    Rungs::Planning::Aim.new(operation: operation, range: range, rung: rung, year: year)
  end

  def place(band) = ORDER.index(band)
  def order = ORDER
  def monday = MONDAY
end
