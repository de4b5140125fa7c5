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
                 rung: each[:working] || "–", **each.except(:known))
        end
      end
    end

    def listen
      rows = rows_of(on: String, places: Integer, days: Integer, operation: String, band: String, absent: Array)
      places, days = @options.fetch(:places, 6), @options.fetch(:days, 1)
      right = [places, days].all? { |number| number.between?(1, 60) }
      raise Rungs::Error::NotAProblem, "places and days are numbers from 1 to 60" unless right

      coming = Rungs::SchoolDays.from(@on, days)
      plan = Rungs::Progress::Listening.plan(candidates(rows), days: coming, places: places, absent: absences(rows))
      tell({ listen: plan.map { |day| turns_of(day) } }) do
        plan.flat_map { |day| [day.date.iso8601, *day.turns.map { |turn| "  #{turn.name} #{turn.reason}" }] }
      end
    end

    def turns_of(day)
      { date: day.date.iso8601, turns: day.turns.map { |turn| { child: turn.name, reason: turn.reason } } }
    end

    # A child's own, from a file of records.
    def next_for_child
      rows = rows_of(on: String, child: String, operation: String, band: String, count: Integer, year: String)
      among(:year, WeekCommands::YEARS) if @options[:year]
      own = rows.select { |row| row.child == chosen(:child, rows.map(&:child).uniq) }
      operation, band = place(own)
      found = Rungs::Progress::NextProblems.for_child(
        estimate(own), operation: operation, band: band, history: history(own, operation), count: counted(3),
                       year: @options.fetch(:year, "first"), slip: slip_twice(own, operation)
      )
      tell_next("Not enough heard: a check-in tells where to begin.", found)
    end

    def history(rows, operation)
      here, others = rows.partition { |row| row.operation == operation }
      Rungs::Progress::NextProblems::History.new(here.map(&:record), others.map(&:record))
    end

    def groups
      rows = rows_of(on: String, operation: String, band: String, sizes: String, apart: Array)
      members = rows.map(&:child).uniq.map { |child| member(rows, child) }
      found = Rungs::Progress::Groups.best(members, sizes: sizes, apart: pairs(members))
      operation, band = place(rows)
      shapes = Rungs::Progress::Groups.with_aims(found, operation: operation, band: band).map do |group|
        { children: group.who.map(&:child), aim: rung_id(group.aim), heading: group.heading, reason: group.reason }
      end
      tell({ groups: shapes, distance: Rungs::Progress::Groups.distance(found).round(4) }) do
        shapes.map { |group| "#{group[:heading]}: #{group[:children].join(', ')} (#{group[:reason]})" }
      end
    end

    def member(rows, child)
      own = rows.select { |row| row.child == child }
      Rungs::Progress::Groups::Member.new(child: child, rung: estimate(own, *place(rows)).working)
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

    # A child's, in an operation and band.
    def estimate(rows, operation = place(rows)[0], band = place(rows)[1])
      there = rows.select { |row| row.operation == operation && row.band == band }
      Rungs::Progress::Estimate.of(there.map(&:record), on: @on, scope: Rungs::Progress::Scope.of(operation, band))
    end

    def place_shape(child, operation, band, rows)
      told = estimate(rows, operation, band)
      { child: child, operation: operation, band: band, working: rung_id(told.working),
        works_out: rung_id(told.works_out), known: told.knowing.to_h.slice(:heard, :known),
        confidence: told.confidence, probabilities: told.filter.probabilities, secure: told.secure?,
        emerging: rung_id(told.emerging), records: told.heard.size, reason: told.reason }
    end

    def rung_id(level) = level && Rungs::Strategy::Rung.at(level).id

    # Where the class works now, unless told: the operation and band of the last record.
    def place(rows) = [@options[:operation] || rows.last.operation, @options[:band] || rows.last.band]

    def candidates(rows)
      rows.group_by(&:child).map do |child, own|
        earlier = own.select { |row| row.record.day < @on }
        Rungs::Progress::Listening::Child.new(
          child: child, name: child, last: earlier.last&.record&.day, records: own.size, slip: repeated_slip(own),
          estimate: estimate(own, *place(rows))
        )
      end
    end

    # The title of a slip seen twice or more in eight weeks.
    def repeated_slip(rows) = slip_twice(rows)&.title

    # @return [Rungs::Slip, nil] seen twice or more in eight weeks, the commonest
    def slip_twice(rows, operation = nil)
      wrong = rows.select { |row| row.answer && !row.record.right && row.record.day > @on - 56 }
      wrong = wrong.select { |row| row.operation == operation } if operation
      slip, times = wrong.filter_map { |row| likeliest_slip(row) }.tally.max_by(&:last)
      slip if times.to_i > 1
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
