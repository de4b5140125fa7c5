# frozen_string_literal: true

module Records
  # Rows of the database and what the core makes of them, in both directions: a record, an estimate that is carried on,
  # and where it stood after a day.
  module EstimateRows
    RULE = Rungs::Progress::Rule::DEFAULT

    # Where a child was after a day something was heard: of the filter, what is kept.
    Step = Struct.new(:day, :rung, :confidence, :heard, keyword_init: true) do
      def likeliest = rung
      def probabilities = [confidence]
      def rule = RULE
    end

    module_function

    # @param row [Hash] of an observation with affords and parts of its problem
    # @param day [Date]
    # @param ear [Rungs::Clip::Confusions, nil] of who took it down, where that counts
    # @return [Rungs::Progress::Record]
    def record(row, day, ear = nil)
      Rungs::Progress::Record.new(day: day, rung: row[:rung], affords: row[:affords].to_a, fact: row[:parts].to_a.sort,
                                  right: row[:right], help: row[:help], ear: ear)
    end

    # @param row [Hash] of estimates
    # @param sealed [Boolean] whether its records stay packed: enough to hear one more
    # @return [Rungs::Progress::Running]
    def running(row, sealed: false)
      recent = row[:recent].to_a.map { |packed| sealed ? Packed::Sealed.new(packed) : Packed.unpack(packed) }
      known = { probabilities: row[:probabilities].to_a, day: recent.last.day, heard: row[:heard] }
      filter = Rungs::Progress::Filter.new(**known, rule: RULE)
      Rungs::Progress::Running.new(filter, recent)
    end

    # @return [Rungs::Progress::Running] with its records unpacked
    def opened(running)
      recent = running.recent.map { |each| each.is_a?(Packed::Sealed) ? Packed.unpack(each.packed) : each }
      Rungs::Progress::Running.new(running.filter, recent)
    end

    # @param last_at [Time]
    # @return [Hash] of estimates, without its key
    def estimate_row(running, last_at)
      { heard: running.filter.heard, last_at: last_at.getutc.iso8601(6), probabilities: running.filter.probabilities,
        recent: running.recent.map { |each| Packed.pack(each) } }
    end

    # @param row [Hash] of estimate_steps
    def step(row) = Step.new(**row.slice(:day, :rung, :confidence, :heard))

    # @param filter [Rungs::Progress::Filter]
    # @return [Hash] of estimate_steps, without its key
    def step_row(filter)
      { day: filter.day, rung: filter.likeliest, confidence: filter.probabilities.max, heard: filter.heard }
    end
  end
end
