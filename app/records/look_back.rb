# frozen_string_literal: true

module Records
  # What was heard in a stretch of days, in the order a teacher asks: who, how, what moved, what slipped, who was
  # missed, what next.
  class LookBack
    COLUMNS = %i[child_id problem_id rung code right slip happened_at].freeze
    Moved = Struct.new(:child, :operation, :band, :from, :to, keyword_init: true)
    # facts: how many more are known. range: whether the range is, and was not.
    Learnt = Struct.new(:child, :operation, :band, :facts, :range, keyword_init: true)

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
      @rows ||= begin
        days = @classroom.midnight(from)...@classroom.midnight(to + 1)
        columns = COLUMNS.map { |column| Sequel[:observations][column] }
        @classroom.observations_dataset.standing.where(happened_at: days).order(:happened_at).select(*columns).naked.all
      end
    end

    # @return [Array<PosedProblem>] what was posed then and heard
    def problems
      ids = rows.map { |row| row[:problem_id] }.uniq
      @problems ||= PosedProblem.where(classroom_id: @classroom.id, id: ids).order(:posed_at, :id).all
    end

    def children = @children ||= @classroom.children.to_h { |child| [child.id, child] }

    # @return [Array<Child>] heard at least once, also with no answer
    def heard = children.values_at(*rows.map { |row| row[:child_id] }.uniq).compact.sort_by(&:name)
    def missed = @classroom.children - heard - away

    # Away on the one day that is looked back on.
    def away
      return [] unless from == to

      away = DB[:absences].where(classroom_id: @classroom.id, day: to)
      @away ||= children.values_at(*away.select_map(:child_id)).compact
    end

    # @return [Hash{PosedProblem => Distribution::Bar}]
    def how
      problems.to_h do |posed|
        rungs = rows.select { |row| row[:problem_id] == posed.id }.filter_map { |row| row[:rung] }
        [posed, Distribution::Bar.new(title: posed.id, counts: (1..5).map { |rung| rungs.count(rung) })]
      end
    end

    # @return [Array<Array(Observation, String)>] answers that two people took down, and what each heard
    def heard_by_two
      days = @classroom.midnight(from)...@classroom.midnight(to + 1)
      of_class = @classroom.observations_dataset
      beside = of_class.newest.exclude(beside: nil).where(happened_at: days).select(:beside)
      rows = of_class.standing.where(first_key: beside).eager(:child, :posed_problem).in_order.all
      words = HeardByTwo.words(@classroom, rows)
      rows.map { |row| [row, words[row.first_key]] }
    end

    # Over all of it: for more than a few problems.
    def overall
      Distribution::Bar.new(title: "all", counts: (1..5).map { |rung| rows.count { |row| row[:rung] == rung } })
    end

    # @return [Array<Moved>] who at the end mostly works things out otherwise than before the beginning
    def moved
      each_place do |child, operation, band|
        before = @evidence.worked_out_from(child, operation, band, from - 1)
        after = @evidence.glance(child, operation, band, on: to)
        next unless before && after.mostly? && after.works_out != before

        Moved.new(child: child, operation: operation, band: band, from: before, to: after.works_out)
      end
    end

    # @return [Array<Learnt>] who knows more facts at the end than before the beginning, or the range itself
    def learnt
      each_place do |child, operation, band|
        more = @evidence.learnt(child, operation, band, from: from - 1, to: to)
        next unless more.facts.positive? || more.range

        Learnt.new(child: child, operation: operation, band: band, facts: more.facts, range: more.range)
      end
    end

    # child, problem: whose and on what. rung, expected: what was heard, and what was likelier. up: whether it was
    # above.
    Surprise = Struct.new(:child, :problem, :rung, :expected, :up, keyword_init: true)
    MOST_SURPRISES = 3

    # @return [Array<Surprise>] of one lesson: whose answer was hardly to be expected, those above first
    def surprises
      return [] unless from == to

      @surprises ||= begin
        surprises = Surprises.new(@evidence, to)
        heard.flat_map { |child| surprises.of(child) }.sort_by { |each| each.up ? 0 : 1 }.first(MOST_SURPRISES)
      end
    end

    # @return [Array<Slipped>] each slip of its own table, with who made it and the last problem it was made on,
    #   commonest first
    def slipped
      by_id = problems.to_h { |posed| [posed.id, posed.problem] }
      slipped = rows.select { |row| row[:slip] }
      made = slipped.group_by { |row| Rungs::Slip.on(by_id[row[:problem_id]], row[:slip]) }.except(nil)
      told = made.map do |slip, all|
        who = children.values_at(*all.map { |row| row[:child_id] }).compact.uniq
        Slipped.new(slip: slip, problem: by_id[all.last[:problem_id]], who: who)
      end
      told.sort_by { |each| -each.who.size }
    end

    # slip: a Rungs::Slip. problem: a Rungs::Problem. who: Array<Child>.
    Slipped = Struct.new(:slip, :problem, :who, keyword_init: true)

    # Where the class worked last, and the rung most of it is on there.
    def place = (last = problems.reverse.find(&:for_everybody?) || problems.last) && [last.operation, last.band]

    # @return [Array<Rungs::Progress::Estimate>] of those heard, where enough was
    def estimates
      @estimates ||= heard.map { |child| @evidence.glance(child, *place, on: to) }.select(&:working)
    end

    # Whether it is clear how most of them work there.
    def clear? = estimates.count { |each| each.aim_from || each.knows? } * 2 > estimates.size

    # What to pose next: towards the aim of most; where it is not clear how most work, what would tell most of one of
    # them.
    # @return [Array<Rungs::Progress::NextProblems::Proposal>]
    def following
      return [] if place.nil? || estimates.empty?

      operation, band = place
      asked = problems.map { |posed| posed.problem.exact_fact || posed.parts.to_a.sort }
      wanted = { operation: operation, band: band, history: Rungs::Progress::NextProblems::History.asked(asked) }
      unless clear?
        unsure = estimates.find { |each| !each.aim_from && each.works_out }
        return unsure ? Rungs::Progress::NextProblems::Telling.propose(unsure, **wanted) : []
      end

      from = estimates.filter_map(&:aim_from).tally.max_by { |rung, times| [times, -rung] }&.first
      Rungs::Progress::NextProblems.propose(working: from, year: @classroom.setting("year"), **wanted)
    end

    private

    # @yield [Child, String, String] each who was heard, in each operation and range that was posed
    def each_place
      places = problems.map { |posed| [posed.operation, posed.band] }.uniq
      places.flat_map { |place| heard.filter_map { |child| yield child, *place } }
    end

    # The answers of the day one after the other, each on top of what stood before it.
  end
end
