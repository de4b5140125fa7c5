# frozen_string_literal: true

require "concurrent/map"

module Records
  # What the records of a class say: estimates as the ledger keeps them, movement between two days, and the records behind
  # each, read only where a page shows them.
  class Evidence
    # One record with the row behind it, for pages that show both; what is not looked at is not made.
    class Heard
      attr_reader :record

      def initialize(row, day)
        @row = row
        @record = Rungs::Progress::Record.new(day: day, rung: row[:rung], affords: row[:affords].to_a, fact: row[:parts].to_a.sort, right: row[:right], help: row[:help])
      end

      def operation = @row[:operation]
      def equation = @row[:equation]
      def slip = @row[:slip]
      def key = @row[:first_key]
      def child_id = @row[:child_id]
      def problem_id = @row[:problem_id]
      def move = @row[:move]
      def summary = @summary ||= Observation.call(@row.slice(*COLUMNS)).summary

      # @param scope [String] a band or a family
      def of?(operation, scope) = @row[:operation] == operation && (@row[:band] == scope || (scope.include?(":") && Evidence.scopes(@row[:band], @row[:parts].to_a).include?(scope)))
    end
    # Where a child was after a day something was heard: of the filter, what is kept.
    Step = Struct.new(:day, :rung, :confidence, :heard, keyword_init: true) do
      def likeliest = rung
      def probabilities = [confidence]
      def rule = RULE
    end

    RULE = Rungs::Progress::Rule::DEFAULT

    # What nearly every page asks, planned once for each connection. SCOPED: the rows of estimates in some scopes.
    SCOPED = { classroom_id: :$classroom_id, operation: :$operation, scope: Sequel.function(:any, Sequel.cast(:$scopes, "text[]")) }.freeze
    NOW = DB[:estimates].where(SCOPED).prepare(:select, :estimates_now)
    OF_CHILD = DB[:estimates].where(classroom_id: :$classroom_id, child_id: :$child_id).exclude(Sequel.like(:scope, "family:%")).prepare(:select, :estimates_of)
    STEPS = DB[:estimate_steps].where(classroom_id: :$classroom_id, child_id: :$child_id, operation: :$operation, scope: :$scope).order(:day).prepare(:select, :steps_of)
    TALLIES = DB[:tallies].where(classroom_id: :$classroom_id).prepare(:select, :tallies_of)
    # For each child and scope the last step by a day: as many index look-ups.
    LAST_STEPS = DB[<<~SQL, :$scopes, :$classroom_id, :$operation, :$day, :$classroom_id].prepare(:select, :last_steps)
      SELECT last.* FROM children CROSS JOIN unnest(?::text[]) AS wanted(scope) CROSS JOIN LATERAL (
        SELECT child_id, scope, day, rung, confidence, heard FROM estimate_steps AS steps
        WHERE steps.classroom_id = ? AND steps.child_id = children.id AND operation = ? AND steps.scope = wanted.scope AND day <= ? ORDER BY day DESC LIMIT 1
      ) AS last WHERE children.classroom_id = ?
    SQL
    private_constant :NOW, :OF_CHILD, :STEPS, :TALLIES, :LAST_STEPS

    # @return [String] the scope of a family of facts
    def self.family(id) = "family:#{id}"

    # @return [Array<String>] the scopes of a problem: its band, then its families
    def self.scopes(band, parts) = SCOPES.compute_if_absent([band, parts]) { [band, *Rungs::Problem::Family.of(parts).map { |id| family(id) }].freeze }

    SCOPES = Concurrent::Map.new
    private_constant :SCOPES

    # @param row [Hash] of estimates
    # @param sealed [Boolean] whether its records stay packed: enough to hear one more
    # @return [Rungs::Progress::Running]
    def self.running(row, sealed: false)
      recent = row[:recent].to_a.map { |packed| sealed ? Packed::Sealed.new(packed) : Packed.unpack(packed) }
      Rungs::Progress::Running.new(Rungs::Progress::Filter.new(probabilities: row[:probabilities].to_a, day: recent.last.day, heard: row[:heard], rule: RULE), recent)
    end

    # @return [Rungs::Progress::Running] with its records unpacked
    def self.opened(running)
      Rungs::Progress::Running.new(running.filter, running.recent.map { |each| each.is_a?(Packed::Sealed) ? Packed.unpack(each.packed) : each })
    end

    # @param row [Hash] of estimate_steps
    def self.step(row) = Step.new(**row.slice(:day, :rung, :confidence, :heard))

    # @param classroom [Classroom]
    def initialize(classroom)
      @classroom = classroom
    end

    # @param scope [String] a band, or Evidence.family(id)
    # @param on [Date] today, or a day before
    # @return [Rungs::Progress::Estimate]
    def estimate(child, operation, scope, on:)
      now(child, operation, scope, on) || Rungs::Progress::Estimate.of(heard_of(child, operation, scope).map(&:record), on: on)
    end

    # The same for every child of a class: of a day gone by, without the sentence of its reasons, whose records go further back.
    # @return [Rungs::Progress::Estimate]
    def glance(child, operation, scope, on:)
      (@glances ||= {})[[child.id, operation, scope, on]] ||= now(child, operation, scope, on) || back_then(child, operation, scope, on)
    end

    # One child's, where no other's is wanted: one row is read.
    def estimate_of(child, operation, scope, on:)
      (@current ||= {})[[operation, scope]] ||= DB[:estimates].where(classroom_id: @classroom.id, child_id: child.id, operation: operation, scope: scope).as_hash(:child_id)
      estimate(child, operation, scope, on: on)
    end

    # Reads at once what a page of many scopes needs.
    # @param day [Date] the first of those that movement is asked between
    def read(operation, scopes, day:)
      rows = rows_now(operation, scopes)
      scopes.each { |scope| (@current ||= {})[[operation, scope]] = rows.fetch(scope, {}) }
      read_steps(operation, scopes, day)
    end

    # @return [Boolean] whether anything was heard there, of what was read
    def heard?(operation, scope) = current(operation, scope).any?

    # @return [Integer, nil] the working rung at the end of a day
    def working_on(child, operation, scope, day)
      step = step_on(child, operation, scope, day) and Rungs::Progress::Estimate.new([], on: day, filter: step).working
    end

    # @return [Integer] −1 moved down, 0 stayed or not known, 1 moved up
    def movement(child, operation, scope, from:, to:)
      before, after = working_on(child, operation, scope, from), glance(child, operation, scope, on: to).working
      before && after ? after <=> before : 0
    end

    # @return [Array<Step>] all days something was heard of that child there
    def steps(child, operation, scope)
      (@steps ||= {})[[child.id, operation, scope]] ||=
        STEPS.call(classroom_id: @classroom.id, child_id: child.id, operation: operation, scope: scope).map { |row| Evidence.step(row) }
    end

    # @return [Array<Heard>] one child's records there, in the order they happened
    def heard_of(child, operation, scope)
      all(child).select { |each| each.of?(operation, scope) }
    end

    # @return [Array<Heard>] everything heard of a child
    def all(child) = (@all ||= {})[child.id] ||= heard({ child_id: child.id })

    # What a page about one child looks at.
    # @param days [Integer]
    # @return [Array<Heard>] all that was heard there, and of the last days everything
    def about(child, operation, scope, days:, on:)
      return all(child) if scope.include?(":")

      heard({ child_id: child.id }, (Sequel[:observations][:happened_at] >= @classroom.midnight(on - days)) | { Sequel[:posed][:operation] => operation, Sequel[:posed][:band] => scope })
    end

    # @param days [Integer] at most as many as an estimate keeps its records
    # @return [Array(String, String), nil] the operation and band a child was heard in most of late, else last
    def busiest(child, days:, on:)
      busiest = OF_CHILD.call(classroom_id: @classroom.id, child_id: child.id).max_by { |row| [row[:recent].to_a.count { |packed| Packed.day(packed) > on - days }, row[:last_at]] }
      busiest&.values_at(:operation, :scope)
    end

    # @return [Hash{Integer => Date}] the day each child was last heard, off the ladder too
    def last_heard = @last_heard ||= tallies.transform_values { |tally| tally[:last_at] && @classroom.today(tally[:last_at]) }

    # @return [Hash{Integer => Integer}] how many records each child has
    def counts = Hash.new(0).merge(tallies.transform_values { |tally| tally[:records] })

    private

    # What stands now, where nothing was heard after the day.
    def now(child, operation, scope, on)
      row = current(operation, scope)[child.id] or return Rungs::Progress::Estimate.of([], on: on)
      running = Evidence.running(row)
      running.estimate(on: on) if running.filter.day <= on
    end

    def back_then(child, operation, scope, on)
      step = step_on(child, operation, scope, on) or return Rungs::Progress::Estimate.of([], on: on)
      around = (@around ||= {})[on] ||= heard({ happened_at: @classroom.midnight(on - RULE.secure_days)...@classroom.midnight(on + 1) }).group_by(&:child_id)
      records = around.fetch(child.id, []).select { |each| each.of?(operation, scope) }.map(&:record)
      Rungs::Progress::Estimate.new(records, on: on, filter: step)
    end

    # The last step by that day.
    def step_on(child, operation, scope, day)
      steps = @steps && @steps[[child.id, operation, scope]]
      return steps.reverse_each.find { |step| step.day <= day } if steps

      ((@steps_on ||= {})[[operation, scope, day]] || read_steps(operation, [scope], day).fetch([operation, scope, day]))[child.id]
    end

    def read_steps(operation, scopes, day)
      by_scope = last_steps(operation, scopes, day).group_by { |row| row[:scope] }
      @steps_on ||= {}
      scopes.each { |scope| @steps_on[[operation, scope, day]] = (by_scope[scope] || []).to_h { |row| [row[:child_id], Evidence.step(row)] } }
      @steps_on
    end

    # The current rows of one operation and scope, by child.
    def current(operation, scope)
      (@current ||= {})[[operation, scope]] ||= rows_now(operation, [scope]).fetch(scope, {})
    end

    def rows_now(operation, scopes)
      rows = NOW.call(classroom_id: @classroom.id, operation: operation, scopes: Sequel.pg_array(scopes, :text))
      rows.group_by { |row| row[:scope] }.transform_values { |rows| rows.to_h { |row| [row[:child_id], row] } }
    end

    def last_steps(operation, scopes, day) = LAST_STEPS.call(scopes: Sequel.pg_array(scopes, :text), classroom_id: @classroom.id, operation: operation, day: day)

    def tallies = @tallies ||= TALLIES.call(classroom_id: @classroom.id).to_h { |row| [row[:child_id], row] }

    COLUMNS = %i[id first_key child_id problem_id happened_at code rung move answer right used help heard slip].freeze

    # @param records [Hash] conditions on the records
    # @param more [Sequel expression, nil] on the records and their problems, called posed
    # @return [Array<Heard>] in the order they happened
    def heard(records, more = nil) = rows(records, more).map { |row| Heard.new(row, @classroom.today(row[:happened_at])) }

    def rows(records, more)
      here = @classroom.observations_dataset.standing.in_order.where(records.transform_keys { |key| Sequel[:observations][key] })
      here = here.join(:problems, { classroom_id: :classroom_id, id: :problem_id }, table_alias: :posed)
      (more ? here.where(more) : here)
                .select(*COLUMNS.map { |column| Sequel[:observations][column] }, *%i[operation band affords parts equation].map { |column| Sequel[:posed][column] }).naked.all
    end
  end
end
