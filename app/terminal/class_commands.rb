# frozen_string_literal: true

module Terminal
  # The commands that read a class's records from a file.
  module ClassCommands
    private

    def progress
      rows = rows_of(on: String)
      shapes = by_place(rows).map { |(child, operation, band), there| place_shape(child, operation, band, there) }
      tell({ progress: shapes }) { shapes.map { |each| format("%-14s %-9s %-7s %-12s %s", each[:child], each[:operation], each[:band], each[:working] || "–", each[:reason]) } }
    end

    def listen
      rows = rows_of(on: String, places: Integer, days: Integer, operation: String, band: String, absent: Array)
      places, days = @options.fetch(:places, 6), @options.fetch(:days, 1)
      raise Rungs::Error::NotAProblem, "places and days are numbers from 1 to 60" unless [places, days].all? { |number| number.between?(1, 60) }

      plan = Rungs::Progress::Listening.plan(candidates(rows), days: school_days(days), places: places, absent: absences(rows))
      shapes = plan.map { |day| { date: day.date.iso8601, turns: day.turns.map { |turn| { child: turn.name, reason: turn.reason } } } }
      tell({ listen: shapes }) { shapes.flat_map { |day| [day[:date], *day[:turns].map { |turn| "  #{turn[:child]} #{turn[:reason]}" }] } }
    end

    def groups
      rows = rows_of(on: String, operation: String, band: String, sizes: String, apart: Array)
      from, to = @options.fetch(:sizes, "3-5").match(/\A(\d{1,2})(?:-(\d{1,2}))?\z/)&.captures || raise(Rungs::Error::Unreadable, "sizes are written as 3-5")
      members = rows.map(&:child).uniq.map { |child| Rungs::Progress::Groups::Member.new(child: child, rung: estimate(focused(rows, child)).working) }
      found = Rungs::Progress::Groups.best(members, sizes: from.to_i..(to || from).to_i, apart: pairs(members), rungs: rungs(rows))
      shapes = found.map { |group| { children: group.who.map(&:child), aim: Rungs::Strategy::Rung.at(group.aim).id, reason: group.reason } }
      distance = Rungs::Progress::Groups.distance(found.map(&:who)).round(4)
      tell({ groups: shapes, distance: distance }) { shapes.map { |group| "#{group[:children].join(', ')}: towards #{group[:aim]} (#{group[:reason]})" } }
    end

    # The records up to the day asked for.
    def rows_of(**options)
      file, = options(["a file of records"], **options)
      raise Rungs::Error::Unreadable, "say up to which day: --on 2026-11-20" unless @options[:on]

      @on = date(@options[:on])
      %i[operation band].zip([%w[add subtract], Rungs::Problem::Band::ALL.ids]) { |name, known| among(name, known) if @options[name] }
      rows = Exchange::RecordRows.read(file == "-" ? $stdin.read : File.binread(file))
      rows.select { |row| row.record.day <= @on }
    rescue SystemCallError
      raise Rungs::Error::Unreadable, "the file “#{file}” cannot be read"
    end

    def among(name, known)
      raise Rungs::Error::Unknown, "there is no #{name} “#{@options[name]}”; there are #{known.join(', ')}" unless known.include?(@options[name])
    end

    def date(text)
      Date.iso8601(text)
    rescue Date::Error
      raise Rungs::Error::Unreadable, "“#{text}” is not a date; write 2026-11-20"
    end

    def by_place(rows)
      order = Rungs::Problem::Band::ALL.ids
      rows.group_by { |row| [row.child, row.operation, row.band] }.sort_by { |(child, operation, band), _| [child, operation, order.index(band)] }
    end

    def estimate(rows) = Rungs::Progress::Estimate.of(rows.map(&:record), on: @on)

    def place_shape(child, operation, band, rows)
      told = estimate(rows)
      { child: child, operation: operation, band: band, working: rung_id(told.working), confidence: told.confidence, probabilities: told.filter.probabilities,
        secure: told.secure?, emerging: rung_id(told.emerging), records: told.weighed.size, reason: told.reason }
    end

    def rung_id(level) = level && Rungs::Strategy::Rung.at(level).id

    def rungs(rows) = (band = @options[:band] || rows.last&.band) ? Rungs::Problem::Band::ALL.fetch(band).rungs : Rungs::Progress::Groups::LEVELS

    # Where the class works now, unless told: the operation and band of the last record.
    def focused(rows, child)
      operation, band = @options[:operation] || rows.last.operation, @options[:band] || rows.last.band
      rows.select { |row| row.child == child && row.operation == operation && row.band == band }
    end

    def candidates(rows)
      rows.group_by(&:child).map do |child, own|
        earlier = own.select { |row| row.record.day < @on }
        Rungs::Progress::Listening::Child.new(child: child, name: child, last: earlier.last&.record&.day, records: own.size, estimate: estimate(focused(rows, child)),
                                              slip: repeated_slip(own))
      end
    end

    # The title of a slip seen twice or more in eight weeks.
    def repeated_slip(rows)
      wrong = rows.select { |row| row.answer && !row.record.right && row.record.day > @on - 56 }
      slips = wrong.filter_map { |row| Rungs::Slip::Diagnosis.new(row.problem, row.answer, rung: rung_id(row.record.rung)).slips.first&.id }
      slip, times = slips.tally.max_by(&:last)
      slip && times > 1 ? Rungs::Slip.title(slip) : nil
    end

    def school_days(count) = (@on..).lazy.select { |day| (1..5).cover?(day.wday) }.first(count)

    def absences(rows)
      names = rows.map(&:child)
      @options.fetch(:absent, []).map { |each| each.split(":") }.each_with_object(Hash.new { |all, day| all[day] = [] }) do |(child, day), absent|
        raise Rungs::Error::Unknown, "there is no child “#{child}” in the file" unless names.include?(child)

        absent[date(day.to_s)] << child
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
