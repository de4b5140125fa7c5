# frozen_string_literal: true

module Records
  # Where a class is before a week: its standing in each operation, what it worked with last, the slips that several
  # share, and the situations that were told.
  class Bearings
    # School days whose records say which operation a class is at.
    LATE = 10

    # @param room [Classroom]
    # @param monday [Date]
    def initialize(room, monday)
      @room = room
      @monday = monday
    end

    # @param operation ["add", "subtract"]
    # @return [Rungs::Planning::Standing] of the children on the list, by what was heard before that Monday
    def standing(operation)
      (@standings ||= {})[operation] ||= begin
        of_child = answers.select { |each| each.operation == operation }.group_by(&:child_id)
        children = @room.children.to_h do |child|
          [child, of_child.fetch(child.id, []).group_by { |each| each.problem.band }
                          .transform_values { |all| all.map(&:record) }]
        end
        Rungs::Planning::Standing.new(children, on: @monday, year: @room.setting("year"))
      end
    end

    # What follows from the class's last weeks, and what the teacher opened since; else where its children are.
    # @return [Hash{Symbol => Object}] band, operation, and the rung where that follows too
    def at_work
      @at_work ||= begin
        aim = following
        operation = aim&.operation || heard_most
        band = aim&.range || standing(operation).range
        { band: opened(band), operation: operation, rung: (aim&.rung if opened(band) == band) }
      end
    end

    # @return [Array<Rungs::Planning::SharedSlip>]
    def slips
      late = answers.select { |each| each.record.day >= @monday - Rungs::Planning::SharedSlip::DAYS }
      named = @room.children.to_h { |child| [child.id, child] }
      of_child = late.group_by { |each| named[each.child_id] }.except(nil)
      Rungs::Planning::SharedSlip.among(of_child.transform_values do |all|
        all.map { |each| [each.record.day, Rungs::Slip.for(each.problem).map(&:id), each.slip&.id] }
      end, on: @monday)
    end

    # @return [Hash{String => Integer}] in how many lessons each situation was told
    def told
      @room.problems_dataset.unordered.exclude(situation: nil).group(:situation)
           .select_hash(:situation, Sequel.function(:count, :lesson_id).distinct.as(:lessons))
    end

    private

    def answers = @answers ||= Evidence.new(@room).before(@monday)

    def following
      aimed = DB[:weeks].where(classroom_id: @room.id).exclude(band: nil).exclude(operation: nil)
      weeks = aimed.where { |week| week.monday < @monday }.reverse(:monday).first(Rungs::Planning::Following::WEEKS)
      return if weeks.empty?

      aims = weeks.map { |week| Rungs::Planning::Aim.new(range: week[:band], **week.slice(:operation, :rung)) }
      Rungs::Planning::Following.after(aims) { Week.new(@room, weeks.first[:monday]).reached? }
    end

    def opened(band)
      wider = @room.settings["range"]
      wider && Rungs::Planning::Ranges.beyond?(wider, band) ? wider : band
    end

    # The operation of most answers of the last school days, missing parts not counted.
    def heard_most
      days = (1..30).map { |back| @monday - back }.select { |day| Rungs::SchoolDays.school_day?(day) }.first(LATE)
      late = answers.select { |each| each.record.day >= days.last && !each.problem.missing_part? }
      times = late.map(&:operation).tally
      times.fetch("subtract", 0) > times.fetch("add", 0) ? "subtract" : "add"
    end
  end
end
