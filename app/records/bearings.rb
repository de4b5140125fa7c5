# frozen_string_literal: true

module Records
  # Where a class is before a week: its standing in each operation, what it worked with last, the slips that several
  # share, and the situations that were told.
  class Bearings
    # School days whose records say which operation a class is at; weeks of one operation before the other is proposed.
    LATE, WEEKS = 10, 2
    OTHER = { "add" => "subtract", "subtract" => "add" }.freeze

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

    # The class's last week and what the teacher opened since; else where its children are.
    # @return [Hash{Symbol => String}] band and operation
    def at_work
      last = weeks_before.first(WEEKS)
      operation = last.empty? ? heard_most : last.first[:operation]
      operation = OTHER.fetch(operation) if last.size == WEEKS && last.map { |week| week[:operation] }.uniq.one?
      { band: opened(last.dig(0, :band) || standing(operation).range), operation: operation }
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

    def weeks_before
      DB[:weeks].where(classroom_id: @room.id).where { |week| week.monday < @monday }
                .exclude(band: nil).exclude(operation: nil).reverse(:monday)
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
