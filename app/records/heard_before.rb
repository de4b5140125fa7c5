# frozen_string_literal: true

module Records
  # What was heard in a class before a day, as plans ask for it: the bare rows are read at once, and made into records
  # only where they are looked at; how a child stood is what the ledger keeps.
  class HeardBefore
    # Of an answer: the child, the problem, the day counted from EPOCH, the rung, whether it was right, and the help.
    Row = Struct.new(:child_id, :problem_id, :days, :rung, :right, :help, :told, :record)
    # Of its problem.
    Told = Struct.new(:operation, :band, :tells, :missing, :affords, :fact, :exact, :situation)
    EPOCH = Date.new(2000, 1, 1)
    # What is older says nothing of where a child is.
    YEARS = 2
    POSED = %i[id operation band affords parts situation unknown equation].freeze
    private_constant :POSED

    attr_reader :room, :day, :evidence

    # @param room [Classroom]
    # @param day [Date]
    def initialize(room, day)
      @room = room
      @day = day
      @evidence = Evidence.new(room)
    end

    # @return [Hash{Child => OfChild}] of the children on the list
    def children(operation)
      (@children ||= {})[operation] ||= room.children.to_h { |child| [child, OfChild.new(self, child, operation)] }
    end

    # @return [Hash{Integer => Array<Row>}] by child, in the order they happened
    def by_child = @by_child ||= rows.group_by(&:child_id)

    # @return [Array<Row>]
    def rows = @rows ||= read.each { |row| row.told = problems.fetch(row.problem_id) }

    # @return [Rungs::Progress::Record]
    def record(row)
      row.record ||= row.told.then do |told|
        Rungs::Progress::Record.new(day: EPOCH + row.days, rung: row.rung, right: row.right, help: row.help,
                                    affords: told.affords, fact: told.fact, exact: told.exact, tells: told.tells)
      end
    end

    # @return [Hash{Integer => Hash{Date => Integer}}] by child and day, the rung at its end in a range
    def rungs(operation, band)
      (@rungs ||= {})[[operation, band]] ||= begin
        days = DB[:standing_days].where(classroom_id: room.id, operation: operation, scope: band)
        days.order(:day).select_map(%i[child_id day rung]).group_by(&:first)
            .transform_values { |all| all.to_h { |_, date, rung| [date, rung] } }
      end
    end

    # @return [Hash{Integer => Array<Array<Integer>>}] by child, the facts that stand as known
    def known(operation)
      (@known ||= {})[operation] ||= DB[:facts].where(classroom_id: room.id, operation: operation, known: true)
                                               .select_map(%i[child_id first second]).group_by(&:first)
                                               .transform_values { |all| all.map { |_, *fact| fact } }
    end

    private

    def read
      zone = room.time_zone
      day = Sequel.lit("(observations.happened_at AT TIME ZONE ?)::date - DATE '2000-01-01'", zone)
      here = room.observations_dataset.standing.in_order.exclude(rung: nil)
      here = here.where(child_id: room.children.map(&:id),
                        happened_at: room.midnight(self.day - (365 * YEARS))...room.midnight(self.day))
      here.naked.select_map([:child_id, :problem_id, day.as(:day), :rung, :right, :help]).map { |row| Row.new(*row) }
    end

    # Those that were answered.
    def problems
      @problems ||= begin
        rows = room.problems_dataset.unordered.naked.select(*POSED)
        rows.to_h { |row| [row[:id], told(row)] }
      end
    end

    def told(row)
      problem = EstimateRows.problem(row)
      Told.new(row[:operation], row[:band], problem.tells?, problem.missing_part?, row[:affords].to_a, problem.fact,
               problem.exact_fact, row[:situation])
    end
  end
end
