# frozen_string_literal: true

module Records
  # What was heard in a stretch of days, in the order a teacher asks: who, how, what moved, what slipped, who was missed, what next.
  class LookBack
    COLUMNS = %i[child_id problem_id rung code right slip happened_at].freeze
    Moved = Struct.new(:child, :operation, :band, :from, :to, keyword_init: true)

    # @param classroom [Classroom]
    # @param evidence [Evidence]
    # @param from [Date]
    # @param to [Date] the last day, with it
    def initialize(classroom, evidence, from, to)
      @classroom = classroom
      @evidence = evidence
      @from = from
      @to = to
    end

    attr_reader :from, :to

    def rows
      @rows ||= @classroom.observations_dataset.standing.where(happened_at: @classroom.midnight(from)...@classroom.midnight(to + 1))
                          .order(:happened_at).select(*COLUMNS.map { |column| Sequel[:observations][column] }).naked.all
    end

    def problems = @problems ||= PosedProblem.where(classroom_id: @classroom.id, id: rows.map { |row| row[:problem_id] }.uniq).order(:posed_at, :id).all
    def children = @children ||= @classroom.children.to_h { |child| [child.id, child] }

    # @return [Array<Child>] heard at least once
    def heard = children.values_at(*rows.map { |row| row[:child_id] }.uniq).compact.sort_by(&:name)
    def missed = @classroom.children - heard - away

    # Away on the one day that is looked back on.
    def away
      return [] unless from == to

      @away ||= children.values_at(*DB[:absences].where(classroom_id: @classroom.id, day: to).select_map(:child_id)).compact
    end

    # @return [Hash{PosedProblem => Distribution::Bar}]
    def how
      problems.to_h do |posed|
        rungs = rows.select { |row| row[:problem_id] == posed.id }.filter_map { |row| row[:rung] }
        [posed, Distribution::Bar.new(title: posed.id, counts: (1..5).map { |rung| rungs.count(rung) })]
      end
    end

    # Over all of it: for more than a few problems.
    def overall = Distribution::Bar.new(title: "all", counts: (1..5).map { |rung| rows.count { |row| row[:rung] == rung } })

    # @return [Array<Moved>] whose working rung is another at the end than before the beginning
    def moved
      problems.map { |posed| [posed.operation, posed.band] }.uniq.flat_map do |operation, band|
        heard.filter_map do |child|
          before, after = @evidence.working_on(child, operation, band, from - 1), @evidence.working_on(child, operation, band, to)
          Moved.new(child: child, operation: operation, band: band, from: before, to: after) if before && after && before != after
        end
      end
    end

    # @return [Hash{String => Array<Child>}] by slip, who made it
    def slipped
      by_slip = rows.select { |row| row[:slip] }.group_by { |row| row[:slip] }
      by_slip.transform_values { |all| children.values_at(*all.map { |row| row[:child_id] }).compact.uniq }.sort_by { |_, who| -who.size }
    end

    # Where the class worked last, and the rung most of it is on there.
    def place = (last = problems.reverse.find(&:for_everybody?) || problems.last) && [last.operation, last.band]

    def commonest
      rungs = heard.filter_map { |child| @evidence.working_on(child, *place, to) }
      rungs.tally.max_by { |rung, times| [times, -rung] }&.first
    end

    # @return [Array<Rungs::Progress::NextProblems::Proposal>]
    def following
      return [] unless place

      operation, band = place
      Rungs::Progress::NextProblems.propose(working: commonest, operation: operation, band: band, last: problems.last(10).map { |posed| posed.parts.to_a.sort })
    end
  end
end
