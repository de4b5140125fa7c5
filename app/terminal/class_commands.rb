# frozen_string_literal: true

module Terminal
  # The commands that read a class's records from a file.
  module ClassCommands
    private

    def progress
      rows = rows_of(on: String)
      shapes = by_place(rows).map { |(child, operation, band), there| place_shape(child, operation, band, there) }
      tell({ progress: shapes }) do
        shapes.map do |each|
          format("%<child>-14s %<operation>-9s %<band>-7s %<rung>-12s %<confidence>.2f  %<reason>s",
                 rung: each[:working] || "–", **each)
        end
      end
    end

    def listen
      rows = rows_of(on: String, places: Integer, days: Integer, operation: String, band: String, absent: Array)
      places, days = @options.fetch(:places, 6), @options.fetch(:days, 1)
      unless [places, days].all? { |number| number.between?(1, 60) }
        raise Rungs::Error::NotAProblem, "places and days are numbers from 1 to 60"
      end

      coming = Rungs::SchoolDays.from(@on, days)
      plan = Rungs::Progress::Listening.plan(candidates(rows), days: coming, places: places, absent: absences(rows))
      shapes = plan.map do |day|
        { date: day.date.iso8601, turns: day.turns.map do |turn|
          { child: turn.name, reason: turn.reason }
        end }
      end
      tell({ listen: shapes }) do
        shapes.flat_map do |day|
          [day[:date], *day[:turns].map do |turn|
            "  #{turn[:child]} #{turn[:reason]}"
          end]
        end
      end
    end

    # A child's own, from a file of records.
    def next_for_child
      rows = rows_of(on: String, child: String, operation: String, band: String, count: Integer)
      own = rows.select { |row| row.child == chosen(:child, rows.map(&:child).uniq) }
      operation, band = place(own)
      records = own.select { |row| row.operation == operation }.map(&:record)
      found = Rungs::Progress::NextProblems.for_child(
        estimate(focused(own, own.last.child)), operation: operation, band: band, records: records,
                                                last: own.map { |row| row.record.fact }, count: counted(3)
      )
      tell_next("Not enough heard: a check-in tells where to begin.", found)
    end

    def groups
      rows = rows_of(on: String, operation: String, band: String, sizes: String, apart: Array)
      members = rows.map(&:child).uniq.map { |child| member(rows, child) }
      found = Rungs::Progress::Groups.best(members, sizes: sizes, apart: pairs(members))
      operation, band = place(rows)
      shapes = Rungs::Progress::Groups.told(found, operation: operation, band: band).map do |group|
        { children: group.who.map(&:child), aim: rung_id(group.aim), heading: group.heading, reason: group.reason }
      end
      tell({ groups: shapes, distance: Rungs::Progress::Groups.distance(found).round(4) }) do
        shapes.map { |group| "#{group[:heading]}: #{group[:children].join(', ')} (#{group[:reason]})" }
      end
    end

    def member(rows, child)
      Rungs::Progress::Groups::Member.new(child: child, rung: estimate(focused(rows, child)).working)
    end

    def sizes
      from, to = @options.fetch(:sizes, "3-5").match(/\A(\d{1,2})(?:-(\d{1,2}))?\z/)&.captures
      raise Rungs::Error::Unreadable, "sizes are written as 3-5" unless from

      from.to_i..(to || from).to_i
    end

    # The records up to the day asked for.
    # @param up_to [Symbol] the option that says the day
    def rows_of(up_to: :on, **options)
      file, = options(["a file of records"], **options)
      raise Rungs::Error::Unreadable, "say which day: --#{up_to} 2026-11-20" unless @options[up_to]

      @on = date(@options[up_to])
      %i[operation band].zip([Rungs::Problem::OPERATIONS, Rungs::Problem::Band::ALL.ids]) do |name, known|
        among(name, known) if @options[name]
      end
      rows = Exchange::RecordRows.read(file == "-" ? $stdin.read : File.binread(file))
      rows.select { |row| row.record.day <= @on }
    rescue SystemCallError
      raise Rungs::Error::Unreadable, "the file “#{file}” cannot be read"
    end

    def date(text)
      Date.iso8601(text)
    rescue Date::Error
      raise Rungs::Error::Unreadable, "“#{text}” is not a date; write 2026-11-20"
    end

    def by_place(rows)
      order = Rungs::Problem::Band::ALL.ids
      places = rows.group_by { |row| [row.child, row.operation, row.band] }
      places.sort_by { |(child, operation, band), _| [child, operation, order.index(band)] }
    end

    def estimate(rows) = Rungs::Progress::Estimate.of(rows.map(&:record), on: @on)

    def place_shape(child, operation, band, rows)
      told = estimate(rows)
      { child: child, operation: operation, band: band, working: rung_id(told.working), confidence: told.confidence,
        probabilities: told.filter.probabilities, secure: told.secure?, emerging: rung_id(told.emerging),
        records: told.weighed.size, reason: told.reason }
    end

    def rung_id(level) = level && Rungs::Strategy::Rung.at(level).id

    # Where the class works now, unless told: the operation and band of the last record.
    def place(rows) = [@options[:operation] || rows.last.operation, @options[:band] || rows.last.band]

    def focused(rows, child)
      operation, band = place(rows)
      rows.select { |row| row.child == child && row.operation == operation && row.band == band }
    end

    def candidates(rows)
      rows.group_by(&:child).map do |child, own|
        earlier = own.select { |row| row.record.day < @on }
        Rungs::Progress::Listening::Child.new(
          child: child, name: child, last: earlier.last&.record&.day, records: own.size, slip: repeated_slip(own),
          estimate: estimate(focused(rows, child))
        )
      end
    end

    # The title of a slip seen twice or more in eight weeks.
    def repeated_slip(rows)
      wrong = rows.select { |row| row.answer && !row.record.right && row.record.day > @on - 56 }
      slips = wrong.filter_map { |row| likeliest_slip(row) }
      slip, times = slips.tally.max_by(&:last)
      slip && times > 1 ? slip.title : nil
    end

    def likeliest_slip(row)
      Rungs::Slip::Diagnosis.new(row.problem, row.answer, rung: rung_id(row.record.rung)).slips.first&.slip
    end

    def absences(rows)
      names = rows.map(&:child)
      @options.fetch(:absent, []).map { |each| each.split(":") }.each_with_object({}) do |(child, day), absent|
        raise Rungs::Error::Unknown, "there is no child “#{child}” in the file" unless names.include?(child)

        (absent[date(day.to_s)] ||= []) << child
      end
    end

    def pairs(members)
      names = members.map(&:child)
      @options.fetch(:apart, []).map { |each| each.split(":") }.each do |pair|
        unknown = pair - names
        raise Rungs::Error::Unknown, "there is no child “#{unknown.first}” in the file" if unknown.any?
        raise Rungs::Error::Unreadable, "pairs are written as Ada:Bo" unless pair.uniq.size == 2
      end
    end
  end
end
