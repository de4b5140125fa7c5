# frozen_string_literal: true

module Records
  # What was heard in a class before a day, as plans ask for it: the bare rows are read at once, and made into records
  # only where they are looked at; how a child stood is what the ledger keeps.
  class HeardBefore
    # Of an answer: the child, the problem, the day counted from EPOCH, the rung, whether it was right, and the help.
    Row = Struct.new(:child_id, :problem_id, :days, :rung, :right, :help, :place, :asked, :record) do
      # As they happened.
      def <=>(other) = [days, place] <=> [other.days, other.place]
    end
    # Of its problem.
    Asked = Struct.new(:operation, :band, :tells, :missing, :affords, :fact, :exact, :situation)
    EPOCH = Date.new(2000, 1, 1)
    # What is older says nothing of where a child is; so many days are read at once, and what lies before them by range
    # where somebody's standing depends on it.
    YEARS = 2
    LATE = 2 * Rungs::Planning::Ready::DAYS
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

    # @return [Date] since when all is read at once
    def first = day - LATE

    # @return [Array<Row>] since then, in the order they happened
    def rows = @rows ||= read(first...day)

    # @return [Hash{Array(Integer, String, String) => Array<Row>}] the same by child, operation and range
    def late = @late ||= rows.group_by { |row| [row.child_id, row.asked.operation, row.asked.band] }

    # @return [Hash{Integer => Array<Row>}] by child, what was heard before that in a range
    def earlier(operation, band)
      (@earlier ||= {})[[operation, band]] ||= begin
        ids = problems.filter_map { |id, asked| id if asked.operation == operation && asked.band == band }
        read((day - (365 * YEARS))...first, problem_id: ids).group_by(&:child_id)
      end
    end

    # Whether anything in the class asked for a missing part there.
    def missing_parts?(operation, band)
      problems.each_value.any? { |asked| asked.missing && asked.operation == operation && asked.band == band }
    end

    # @return [Rungs::Progress::Record]
    def record(row)
      row.record ||= row.asked.then do |asked|
        Rungs::Progress::Record.new(day: EPOCH + row.days, rung: row.rung, right: row.right, help: row.help,
                                    affords: asked.affords, fact: asked.fact, exact: asked.exact, tells: asked.tells)
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

    def read(days, **more)
      zone = room.time_zone
      at = Sequel.lit("(observations.happened_at AT TIME ZONE ?)::date - DATE '2000-01-01'", zone)
      here = room.observations_dataset.standing.in_order.exclude(rung: nil)
      here = here.where(child_id: room.children.map(&:id),
                        happened_at: room.midnight(days.begin)...room.midnight(days.end), **more)
      found = here.naked.select_map([:child_id, :problem_id, at.as(:day), :rung, :right, :help])
      found.each_with_index.map { |row, place| Row.new(*row, place, problems.fetch(row[1])) }
    end

    # Of lessons and of check-ins.
    def problems
      @problems ||= PosedProblem.where(classroom_id: room.id).naked.select(*POSED)
                                .to_h { |row| [row[:id], asked_of(row)] }
    end

    def asked_of(row)
      problem = EstimateRows.problem(row)
      Asked.new(row[:operation], row[:band], problem.tells?, problem.missing_part?, row[:affords].to_a, problem.fact,
                problem.exact_fact, row[:situation])
    end
  end
end
