# frozen_string_literal: true

module Records
  class Evidence
    # Where children are, by the rows that the ledger keeps: now, on a day gone by, and between two.
    class Estimates
      include Rows

      # The standings of one child, and its days, planned once for each connection.
      OF_CHILD = DB[:standings].where(classroom_id: :$classroom_id, child_id: :$child_id)
                               .exclude(Sequel.like(:scope, "#{Scope::FAMILY}%")).prepare(:select, :standings_of_child)
      STEPS = DB[:standing_days].where(classroom_id: :$classroom_id, child_id: :$child_id, operation: :$operation,
                                       scope: :$scope)
                                .order(:day).prepare(:select, :days_of)
      private_constant :OF_CHILD, :STEPS

      # @param classroom [Classroom]
      # @param answers [Answers]
      def initialize(classroom, answers)
        @classroom = classroom
        @answers = answers
      end

      # @param scope [String] as Scope names it
      # @param on [Date] today, or a day before
      # @return [Rungs::Progress::Estimate]
      def estimate(child, operation, scope, on:)
        (now(child, operation, scope, on) unless blind) || of_records(child, operation, scope, on)
      end

      # The same for every child of a class: of a day gone by, without the sentence of its reasons, whose records go
      # further back.
      # @return [Rungs::Progress::Estimate]
      def glance(child, operation, scope, on:)
        (@glances ||= {})[[child.id, operation, scope, on]] ||=
          if blind
            of_records(child, operation, scope, on)
          else
            now(child, operation, scope, on) || back_then(child, operation, scope, on)
          end
      end

      # How a child stood at the end of a day, of records that are at hand.
      # @param records [Array<Rungs::Progress::Record>] all there by that day, at least of the last weeks
      # @return [Rungs::Progress::Estimate]
      def as_of(child, operation, scope, day, records)
        step = step_on(child, operation, scope, day) or return nothing(operation, scope, day)
        Rungs::Progress::Estimate.new(records, on: day, filter: step.running.filter, knowing: step.running.knowing)
      end

      # One child's, where no other's is wanted: one row is read.
      def estimate_of(child, operation, scope, on:)
        (@current ||= {})[[operation, scope]] ||=
          DB[:standings].where(classroom_id: @classroom.id, child_id: child.id, operation: operation,
                               scope: scope).as_hash(:child_id)
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

      # What could be said of a child at the end of a day.
      # @return [Rungs::Progress::Estimate]
      def estimate_on(child, operation, scope, day)
        step = step_on(child, operation, scope, day) or return nothing(operation, scope, day)
        step.running.estimate(on: day)
      end

      # @return [Rungs::Progress::Running] as it stood when a day began, without its records
      def running_before(child, operation, scope, day)
        step_on(child, operation, scope, day - 1)&.running ||
          Rungs::Progress::Running.start(Rungs::Progress::Scope.of(operation, scope))
      end

      # Where movement since the end of a day is told from: how the child worked things out then, else the first that
      # stood after it.
      # @return [Integer, nil]
      def worked_out_from(child, operation, scope, day)
        estimate_on(child, operation, scope, day).works_out || first_after(operation, scope, day)[child.id]
      end

      # @return [Integer] −1 moved down, 0 stayed or not known (where it is not clear yet where to), 1 moved up
      def movement(child, operation, scope, from:, to:)
        before, after = worked_out_from(child, operation, scope, from), glance(child, operation, scope, on: to)
        before && after.mostly? ? after.works_out <=> before : 0
      end

      # What was learnt between two days. facts: how many more are known; range: whether the range is, and was not.
      Learnt = Struct.new(:facts, :range, keyword_init: true)

      # @return [Learnt]
      def learnt(child, operation, scope, from:, to:)
        before, after = estimate_on(child, operation, scope, from), estimate_on(child, operation, scope, to)
        Learnt.new(facts: [after.knowing.known - before.knowing.known, 0].max, range: after.knows? && !before.knows?)
      end

      # How the facts of an operation stand now.
      # @return [Hash{Integer => Boolean, nil}] by child, whether a fact is known; nothing of those who were not asked
      #   it
      def known(operation, fact)
        rows = DB[:facts].where(classroom_id: @classroom.id, operation: operation, first: fact[0], second: fact[1])
        rows = rows.where(Sequel[:last_at] < blind) if blind
        rows.select_hash(:child_id, :known)
      end

      # @return [Array<EstimateRows::Step>] all days something was heard of that child there
      def steps(child, operation, scope)
        (@steps ||= {})[[child.id, operation, scope]] ||=
          STEPS.call(classroom_id: @classroom.id, child_id: child.id, operation: operation, scope: scope)
               .map { |row| EstimateRows.step(row) }
      end

      # @param days [Integer] at most as many as an estimate keeps its records
      # @return [Array(String, String), nil] the operation and band a child was heard in most of late, else last
      def busiest(child, days:, on:)
        rows = OF_CHILD.call(classroom_id: @classroom.id, child_id: child.id)
        busiest = rows.max_by do |row|
          [row[:recent].to_a.count do |packed|
            Packed.day(packed) > on - days
          end, row[:last_at]]
        end
        busiest&.values_at(:operation, :scope)
      end

      private

      # Made of the records, where the rows tell more than may be seen, or less far back.
      def of_records(child, operation, scope, on)
        heard = @answers.heard_of(child, operation, scope)
        heard = heard.select { |each| each.happened_at < blind } if blind
        Rungs::Progress::Estimate.of(heard.map(&:record), on: on, scope: Rungs::Progress::Scope.of(operation, scope))
      end
    end
  end
end
