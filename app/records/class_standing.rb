# frozen_string_literal: true

module Records
  # Where a class is before a week: its standing in each operation, what it worked with last, the slips that several
  # share, and the situations that were told.
  class ClassStanding
    # School days whose records say which operation a class is at; weeks after which it is known, whatever was heard.
    LATE = 10
    KNOWN = 2

    # @param room [Classroom]
    # @param monday [Date]
    def initialize(room, monday)
      @room = room
      @monday = monday
    end

    # @param operation ["add", "subtract"]
    # @return [Rungs::Planning::Standing] of the children on the list, by what was heard before that Monday
    def standing(operation)
      (@standings ||= {})[operation] ||= Rungs::Planning::Standing.new(
        heard.children(operation), operation: operation, on: @monday, year: @room.setting("year"),
                                   settled: weeks.size >= KNOWN, aimed: aimed(operation)
      )
    end

    # What follows from the class's last weeks, and what the teacher opened since; else where its children are.
    # @return [Hash{Symbol => Object}] band, operation, and the rung where that follows too
    def current_aim
      @current_aim ||= begin
        aim = following
        operation = aim&.operation || heard_most
        band = aim&.range || standing(operation).range
        { band: opened(band), operation: operation, rung: (aim&.rung if opened(band) == band) }
      end
    end

    # @return [Array<Rungs::Planning::SharedSlip>]
    def slips
      late = Evidence.new(@room).late(@monday - Rungs::Planning::SharedSlip::DAYS...@monday).group_by(&:child_id)
      by_child = @room.children.to_h do |child|
        made = late.fetch(child.id, []).map do |each|
          [each.record.day, Rungs::Slip.for(each.problem).map(&:id), each.slip&.id]
        end
        [child, made]
      end
      Rungs::Planning::SharedSlip.among(by_child, on: @monday)
    end

    # @return [Hash{String => Integer}] in how many lessons each situation was told
    def times_told
      @room.problems_dataset.unordered.exclude(situation: nil).group(:situation)
           .select_hash(:situation, Sequel.function(:count, :lesson_id).distinct.as(:lessons))
    end

    # @return [Array<String>] situations at which most were not right in the last lesson that told them
    def wrong
      last = heard.rows.group_by { |row| row.asked.situation }.except(nil)
                  .transform_values { |all| all.select { |row| row.days == all.last.days } }
      last.select { |_, all| all.count(&:right) * 2 <= all.size }.keys
    end

    private

    # The rungs that weeks have aimed at to ten.
    def aimed(operation)
      weeks.filter_map { |week| week[:rung] if week[:operation] == operation && week[:band] == "to10" }
    end

    def heard = @heard ||= HeardBefore.new(@room, @monday)

    # Those that had an aim, the last first.
    def weeks
      @weeks ||= DB[:weeks].where(classroom_id: @room.id).exclude(band: nil).exclude(operation: nil)
                           .where { |week| week.monday < @monday }.reverse(:monday).all
    end

    def following
      return if weeks.empty?

      aims = weeks.first(Rungs::Planning::Following::WEEKS).map do |week|
        Rungs::Planning::Aim.new(range: week[:band], year: @room.setting("year"), **week.slice(:operation, :rung))
      end
      own = ->(operation) { standing(operation).range }
      Rungs::Planning::Following.after(aims, own: own) { Week.new(@room, weeks.first[:monday]).reached? }
    end

    def opened(band)
      wider = @room.settings["range"]
      wider && Rungs::Planning::Ranges.beyond?(wider, band) ? wider : band
    end

    # The operation of most answers of the last school days, missing parts not counted.
    def heard_most
      first = (Rungs::SchoolDays.before(@monday, LATE).first - HeardBefore::EPOCH).to_i
      late = heard.rows.select { |row| row.days >= first && !row.asked.missing }
      times = late.map { |row| row.asked.operation }.tally
      times.fetch("subtract", 0) > times.fetch("add", 0) ? "subtract" : "add"
    end
  end
end
