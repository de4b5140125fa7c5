# frozen_string_literal: true

require "concurrent/map"

module Records
  # Rows of the database and what the core makes of them, in both directions: a record, what is carried on of a child in
  # a scope, and how it stood after a day.
  module EstimateRows
    RULE = Rungs::Progress::Rule::DEFAULT

    # How a child stood after a day on which something was heard. rung: of the child, works_out: how it worked things
    # out, each nil where that could not be said. running: what an estimate is made from.
    Step = Struct.new(:day, :rung, :works_out, :running, keyword_init: true) do
      # @return [Float] how sure it is on a day how things are worked out
      def sureness(on = day) = running.filter.confidence(on)
    end

    module_function

    # @param row [Hash] of an observation with its problem
    # @param day [Date]
    # @param ear [Rungs::Clip::Confusions, nil] of who took it down, where that counts
    # @return [Rungs::Progress::Record]
    def record(row, day, ear = nil)
      problem = problem(row)
      Rungs::Progress::Record.new(day: day, rung: row[:rung], affords: row[:affords].to_a, fact: problem.fact,
                                  exact: problem.exact_fact, tells: problem.tells?, right: row[:right],
                                  help: row[:help], ear: ear)
    end

    # Of a problem, what tells it from others; the same ones come again and again, so the last ones are kept.
    TOLD_BY = %i[situation parts unknown equation].freeze
    PROBLEMS = Concurrent::Map.new
    KEPT = 5000
    private_constant :PROBLEMS, :KEPT

    def problem(row)
      PROBLEMS.clear if PROBLEMS.size > KEPT
      PROBLEMS.compute_if_absent(row.values_at(*TOLD_BY)) { PosedProblem.problem_of(row) }
    end

    # @param row [Hash] of standings, or of standing_days, which keeps no records
    # @param sealed [Boolean] whether its records stay packed: enough to hear one more
    # @return [Rungs::Progress::Running]
    def running(row, sealed: false)
      scope = Rungs::Progress::Scope.of(row[:operation], row[:scope])
      recent = row[:recent].to_a.map { |packed| sealed ? Packed::Sealed.new(packed) : Packed.unpack(packed) }
      filter = Rungs::Progress::WorkingOut.new(probabilities: row[:probabilities].to_a, day: row[:worked_on],
                                               shown: row[:shown].to_a, scope: scope, rule: RULE)
      knowing = Rungs::Progress::Knowing.new(day: row[:fact_on], scope: scope, **row.slice(:heard, :known, :pivots))
      Rungs::Progress::Running.new(filter, knowing, recent)
    end

    # @return [Rungs::Progress::Running] with its records unpacked
    def opened(running)
      recent = running.recent.map { |each| each.is_a?(Packed::Sealed) ? Packed.unpack(each.packed) : each }
      Rungs::Progress::Running.new(running.filter, running.knowing, recent)
    end

    # @param last_at [Time]
    # @return [Hash] of standings, without its key
    def standing_row(running, last_at)
      { **scope_row(running), last_at: last_at.getutc.iso8601(6),
                              recent: running.recent.map { |each| Packed.pack(each) } }
    end

    # @return [Hash] of standing_days, without its key
    def day_row(running, day)
      estimate = running.estimate(on: day)
      { day: day, rung: estimate.working, works_out: estimate.works_out, **scope_row(running) }
    end

    # @param row [Hash] of standing_days
    # @return [Step]
    def step(row) = Step.new(**row.slice(:day, :rung, :works_out), running: running(row))

    def scope_row(running)
      filter, knowing = running.filter, running.knowing
      { probabilities: filter.probabilities, shown: filter.shown, worked_on: filter.day, fact_on: knowing.day,
        **knowing.to_h.slice(:heard, :known, :pivots) }
    end
    private_class_method :scope_row
  end
end
