# frozen_string_literal: true

module Records
  # Whom to listen to in a class: today's list, which stands once the lesson has begun, and the days to come.
  class ListeningList
    # @param classroom [Classroom]
    # @param evidence [Evidence]
    # @param focus [Array(String, String)] the operation and band being worked on
    # @param lesson [Lesson, nil] where it is at hand
    def initialize(classroom, evidence, focus, lesson: nil)
      @classroom = classroom
      @evidence = evidence
      @focus = focus
      @lesson = lesson
    end

    def places = Integer(@classroom.setting("places"))

    # @param day [Date]
    # @return [Array<Rungs::Progress::Listening::Turn>] by what was heard before that day; of those heard on it, that
    def on(day)
      planned(day).map do |turn|
        heard?(turn.child, day) ? turn.with(reason: "was heard today") : turn
      end
    end

    # Whether a child was heard that day, whatever was said: the one rule of every page.
    # @param day [Date] today, or a day to come
    def heard?(child, day) = @evidence.last_heard[child.id] == day

    # @return [Array<Rungs::Progress::Listening::Turn>] those of that day who were not heard on it yet
    def waiting(day) = on(day).reject { |turn| heard?(turn.child, day) }

    # @param days [Array<Date>] to come
    # @param heard_first [Array<Child>] whose list stands for the first of them
    # @return [Array<Rungs::Progress::Listening::Day>]
    def plan(days, heard_first: [])
      absent = @classroom.absences(days).transform_values do |ids|
        @classroom.children.select do |child|
          ids.include?(child.id)
        end
      end
      children = candidates(days.first)
      return Rungs::Progress::Listening.plan(children, days: days, places: places, absent: absent) if heard_first.empty?

      heard_first.each { |child| children.find { |each| each.child.id == child.id }&.last = days.first }
      [nil, *Rungs::Progress::Listening.plan(children, days: days.drop(1), places: places, absent: absent)]
    end

    # Makes today's list anew, as when somebody turns out to be away.
    def forget(day) = @classroom.lesson_on(day)&.update(listening: nil)

    private

    # As it stood when the lesson began, or would stand now.
    def planned(day)
      lesson = @lesson&.held_on == day ? @lesson : @classroom.lesson_on(day)
      return stored(lesson) if lesson&.listening

      Rungs::Progress::Listening.turns(present(day), on: day, places: places).tap do |turns|
        store(lesson, turns) if lesson
      end
    end

    def present(day)
      away = @classroom.absences([day]).fetch(day, [])
      candidates(day).reject { |each| away.include?(each.child.id) }
    end

    # Each child as the list weighs it, by what was heard before the day.
    def candidates(day)
      last, counts, slips = heard_before(day), @evidence.counts, repeated_slips(day)
      @classroom.children.map do |child|
        Rungs::Progress::Listening::Child.new(
          child: child, name: child.name, last: last[child.id], records: counts[child.id], slip: slips[child.id],
          estimate: @evidence.estimate(child, *@focus, on: day)
        )
      end
    end

    # The tally knows the last time; where that was on the day itself, the time before it is looked up.
    def heard_before(day)
      late = @evidence.last_heard.select { |_, last| last && last >= day }.keys
      before = late.any? ? @evidence.last_before(day, late) : {}
      @evidence.last_heard.to_h { |child_id, last| [child_id, late.include?(child_id) ? before[child_id] : last] }
    end

    # @return [Hash{Integer => String}] by child, the title of a slip seen twice or more of late
    def repeated_slips(day)
      repeated = @evidence.slips_of_late(day).map do |slip, who|
        twice = who.tally.select { |_, times| times > 1 }
        twice.transform_values { slip.title }
      end
      repeated.reduce({}, :merge)
    end

    def store(lesson, turns)
      kept = turns.map { |turn| { "child" => turn.child.id, "reason" => turn.reason } }
      lesson.update(listening: Sequel.pg_jsonb(kept))
    end

    def stored(lesson)
      by_id = @classroom.children.to_h { |child| [child.id, child] }
      lesson.listening.filter_map do |each|
        child = by_id[each["child"]] or next
        Rungs::Progress::Listening::Turn.new(child: child, name: child.name, reason: each["reason"])
      end
    end
  end
end
