# frozen_string_literal: true

module Terminal
  # A week proposed from a class's records, with whom to hear, what to bring, and whether the range may widen.
  module WeekCommands
    private

    def week
      rows = rows_of(up_to: :from, from: String, days: Integer, minutes: Integer, seed: Integer, places: Integer)
      raise Rungs::Error::NotAProblem, "there is no record before that day" if rows.empty?

      dates = Rungs::SchoolDays.from(@on, in_range(:days, 5, 1..10))
      proposed = week_for(rows, dates)
      hear = Rungs::Progress::Listening.plan(candidates(rows), days: dates, places: in_range(:places, 6, 1..60))
      shape = { i_can: proposed.i_can, **at_work(rows), days: proposed.days.zip(hear).map { |day, list| of(day, list) },
                widen: widening(rows).to_h, bring: bring(proposed, rows).map(&:to_h) }
      tell(shape) { [shape[:i_can], *shape[:days].flat_map { |day| told(day) }] }
    end

    def week_for(rows, dates)
      Rungs::Planning::ProposedWeek.new(days: dates, at_work: at_work(rows), slips: slips_of(rows),
                                        seed: @options.fetch(:seed, 1), minutes: in_range(:minutes, 25, 5..120),
                                        met: met(rows))
    end

    def at_work(rows) = %i[operation band].zip(place(rows)).to_h

    # Ranges are all that records tell of what a class has met.
    def met(rows) = rows.to_h { |row| [["range", row.band], row.record.day] }

    # Commonest first, of the last eight weeks.
    def slips_of(rows)
      wrong = rows.select { |row| row.answer && !row.record.right && row.record.day > @on - 56 }
      wrong.filter_map { |row| likeliest_slip(row)&.id }.tally.sort_by { |_, times| -times }.map(&:first)
    end

    def widening(rows)
      band = place(rows).last
      heard = rows.group_by(&:child).transform_values { |own| own.select { |row| row.band == band }.map(&:record) }
      Rungs::Planning::Widening.offer(band: band, children: heard, on: @on)
    end

    def bring(proposed, rows)
      kinds = proposed.days.flat_map(&:parts).map { |part| part.kind.with(part.options) }
      Rungs::Planning::Bring.for(kinds, children: rows.map(&:child).uniq.size)
    end

    def of(day, list)
      { date: day.date.iso8601, minutes: day.minutes, new: day.fresh&.kind&.id, parts: day.parts.map(&:to_h),
        hear: list.turns.map { |turn| { child: turn.name, reason: turn.reason } } }
    end

    def told(day)
      ["#{day[:date]}, #{day[:minutes]} min", *day[:parts].map do |part|
        "  #{part[:minutes]} #{part[:title]}: #{part[:why]}"
      end,
       "  hear #{day[:hear].map { |turn| turn[:child] }.join(', ')}"]
    end

    def in_range(name, usual, range)
      number = @options.fetch(name, usual)
      return number if range.cover?(number)

      raise Rungs::Error::NotAProblem, "#{name} is a number from #{range.min} to #{range.max}"
    end
  end
end
