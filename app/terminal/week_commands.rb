# frozen_string_literal: true

module Terminal
  # A week proposed from a class's records, with whom to hear, what to bring, and whether the range may widen; and what
  # is likely to be heard on a problem.
  module WeekCommands
    YEARS = %w[first kindergarten].freeze
    # School days whose records say which operation a class is at.
    LATE = 10
    # An activity that was done, and the day.
    DONE = /\A([a-z_]+):(\d{4}-\d{2}-\d{2})\z/

    private

    def week
      rows = rows_of(up_to: :from, from: String, days: Integer, minutes: Integer, seed: Integer, places: Integer,
                     operation: String, range: String, year: String, done: Array)
      raise Rungs::Error::NotAProblem, "there is no record before that day" if rows.empty?

      among(:range, Rungs::Problem::Band::ALL.ids) if @options[:range]
      among(:year, YEARS) if @options[:year]
      dates = Rungs::SchoolDays.from(@on, in_range(:days, 5, 1..10))
      proposed = week_for(rows, dates)
      hear = Rungs::Progress::Listening.plan(candidates(rows), days: dates, places: in_range(:places, 6, 1..60))
      tell(shape(proposed, rows, hear)) { lines(proposed, hear) }
    end

    def forecast
      rows = rows_of(on: String, equation: String)
      raise Rungs::Error::Unreadable, "say which problem: --equation \"8 + 5\"" unless @options[:equation]

      text = @options[:equation]
      asked = problem(text.include?("=") ? text : "#{text} = ?")
      own = rows.group_by(&:child)
      estimates = own.transform_values { |those| estimate(those, asked.operation, asked.band) }
      told = Rungs::Progress::Forecast.for_class(estimates, asked) do |child|
        history(own.fetch(child), asked.operation).known[asked.exact_fact]
      end
      tell(forecast_shape(told)) { told.expected.map { |level, many| format("%-12s %.1f", rung_id(level), many) } }
    end

    def forecast_shape(told)
      by_rung = ->(chances) { chances.transform_keys { |level| rung_id(level) } }
      children = told.children.map do |child, chances|
        { child: child, enough: !chances.nil?, chances: chances && by_rung.call(chances) }
      end
      { children: children, class: by_rung.call(told.expected) }
    end

    def week_for(rows, dates)
      operation = current_aim(rows)
      standing, other = [operation, Rungs::Planning::Following::OTHER.fetch(operation)].map do |each|
        standing(rows, each)
      end
      aim = standing.aim(@options[:range] || standing.range)
      Rungs::Planning::ProposedWeek.new(days: dates, aim: aim, standing: standing, other: other, done: done,
                                        slips: shared_slips(rows), seed: @options.fetch(:seed, 1),
                                        minutes: in_range(:minutes, 25, 5..120))
    end

    def standing(rows, operation)
      Rungs::Planning::Standing.of(rows.group_by(&:child), operation: operation, on: @on,
                                                           year: @options.fetch(:year, "first"))
    end

    # What lessons before had: whose_way:2026-11-20, with commas between.
    def done
      @options.fetch(:done, []).flat_map { |each| each.split(",") }.map do |text|
        id, day = text.strip.match(DONE)&.captures
        raise Rungs::Error::Unreadable, "what was done is written as whose_way:2026-11-20" unless id

        [Rungs::Activity::ALL.fetch(id).id, Date.iso8601(day)]
      rescue Date::Error
        raise Rungs::Error::Unreadable, "there is no day #{day}"
      end.group_by(&:first).transform_values { |all| all.map(&:last).uniq.sort }
    end

    # That of most records of the last school days, missing parts not counted.
    def current_aim(rows)
      @options[:operation] ||= begin
        days = (1..30).map { |back| @on - back }.select { |day| Rungs::SchoolDays.school_day?(day) }.first(LATE)
        late = rows.select { |row| row.record.day >= days.last && row.record.day < @on && !row.problem.missing_part? }
        times = late.map(&:operation).tally
        times.fetch("subtract", 0) > times.fetch("add", 0) ? "subtract" : "add"
      end
    end

    def shared_slips(rows)
      Rungs::Planning::SharedSlip.among(rows.group_by(&:child).transform_values do |own|
        own.map do |row|
          slip = likeliest_slip(row)&.id if row.answer && !row.record.right
          [row.record.day, Rungs::Slip.for(row.problem).map(&:id), slip]
        end
      end, on: @on)
    end

    def bring(proposed, rows)
      parts = proposed.days.flat_map(&:parts)
      Rungs::Planning::Bring.for(parts.map { |part| [part.kind.with(part.options), part.items] },
                                 children: rows.map(&:child).uniq.size)
    end

    def shape(proposed, rows, hear)
      aim, outlook = proposed.aim, proposed.outlook
      { aim: { operation: aim.operation, range: aim.range, rung: rung_id(aim.rung) }, i_can: proposed.i_can,
        edges: proposed.standing.edges, two_groups: proposed.standing.split?(aim.range),
        other_numbers: outlook.other_numbers.map(&:to_h), with_adult: proposed.with_adult,
        check_ins: outlook.check_ins.transform_keys(&:iso8601),
        days: proposed.days.zip(hear).map { |day, list| of(day, list) }, check: proposed.check&.to_h,
        widen: Rungs::Planning::Widening.offer(proposed.standing, aim.range).to_h,
        bring: bring(proposed, rows).map(&:to_h) }
    end

    def of(day, list)
      { date: day.date.iso8601, minutes: day.minutes, new: day.new_thing&.kind&.id, parts: day.parts.map(&:to_h),
        hear: list.turns.map { |turn| { child: turn.name, reason: turn.reason } } }
    end

    def lines(proposed, hear)
      [proposed.i_can, *proposed.days.zip(hear).flat_map do |day, list|
        ["#{day.date.iso8601}, #{day.minutes} min",
         *day.parts.map { |part| "  #{part.minutes unless part.minutes.zero?} #{part.title}: #{part.reason}" },
         "  hear #{list.turns.map(&:name).join(', ')}"]
      end]
    end

    def in_range(name, usual, range)
      number = @options.fetch(name, usual)
      return number if range.cover?(number)

      raise Rungs::Error::NotAProblem, "#{name} is a number from #{range.min} to #{range.max}"
    end
  end
end
