# frozen_string_literal: true

module Records
  # The lessons of a week: what is planned, what the records propose, and moving it about.
  class Week
    # Days of school in a week.
    DAYS = 5

    # @param room [Classroom]
    # @param evidence [Evidence]
    # @param monday [Date]
    def initialize(room, evidence, monday)
      @room = room
      @evidence = evidence
      @monday = monday
    end

    attr_reader :monday

    def dates = (monday...monday + DAYS).to_a
    def off?(date) = @room.off?(date)
    def minutes = Integer(@room.setting("minutes"))

    # @return [Array<LessonPart>]
    def parts_on(date) = lesson(date)&.course&.parts.to_a
    def planned = dates.to_h { |date| [date, parts_on(date)] }
    def empty? = planned.values.all?(&:empty?)

    # @return [Array<String>] the things that the class has
    def shelf = @room.settings["shelf"].to_a
    def shelve(thing, there:) = @room.keep_settings("shelf" => there ? (shelf + [thing]).uniq : shelf - [thing])

    # Fills the days that have nothing, from today on.
    # @param seed [Integer]
    def propose(today, seed:)
      open = dates.select { |date| date >= today && !off?(date) && parts_on(date).empty? }
      proposed(open, today, seed: seed).days.each do |day|
        day.parts.each { |part| keep(day.date, part) }
      end
      forget
    end

    # The next best in the place of a part that has not begun.
    def exchange(part, today, seed:)
      date = part.lesson.held_on
      kinds = parts_on(date).map(&:kind)
      others = proposed([date], today, seed: seed, without: { date => (kinds + exchanged(part)).uniq }).days.first.parts
      found = others.find { |each| each.minutes <= part.minutes } || others.first or return
      part.update(kind: found.kind.id, minutes: found.minutes,
                  details: Sequel.pg_jsonb(details(found).merge("not" => [*exchanged(part), part.kind])))
      forget
    end

    # @param course [Course] of another day
    def copy(course, date)
      to = @room.lesson_for(date).course
      course.parts.each { |part| to.plan(part.kind, minutes: part.minutes, details: part.details.to_h.except("fresh")) }
      forget
    end

    def empty(date)
      course = lesson(date)&.course or return
      course.parts.reject(&:begun?).each { |part| course.take_out(part) }
      forget
    end

    # A part that has not begun goes to the end of another day.
    def move(part, date)
      to = @room.lesson_for(date)
      last = to.course.parts.map(&:place).max || 0
      part.update(lesson_id: to.id, place: last + 1) unless part.begun?
      forget
    end

    # @return [Array<LessonPart>] of which each is done, in the order of the week
    def parts = planned.values.flatten

    # What the class works with now: the range of its last problem, or a wider one that was opened since.
    def at_work
      last = { band: "to10", operation: "add" }.merge(@room.at_work)
      opened = @room.settings["range"]
      order = Rungs::Planning::Widening::ORDER
      wider = opened && order.index(opened) > order.index(last[:band])
      wider ? last.merge(band: opened) : last
    end

    # The offer is taken: weeks are proposed in that range; or left, and not made again.
    def open_range(offer) = @room.keep_settings("range" => offer.following)
    def stay(offer) = @room.keep_settings("stay" => offer.following)

    # Whether the range may widen, unless that was said not to be wanted yet.
    # @return [Rungs::Planning::Widening::Offer, nil]
    def widening(today)
      heard = @room.children.to_h do |child|
        there = @evidence.all(child).select do |each|
          each.of?("add", at_work[:band]) || each.of?("subtract", at_work[:band])
        end
        [child.name, there.map(&:record)]
      end
      offer = Rungs::Planning::Widening.offer(band: at_work[:band], children: heard, on: today)
      offer unless offer.nil? || @room.settings["stay"] == offer.following
    end

    private

    def lesson(date) = lessons[date]

    def lessons
      @lessons ||= @room.lessons_dataset.where(held_on: monday..monday + 6).all.to_h do |lesson|
        lesson.associations[:classroom] = @room
        [lesson.held_on, lesson]
      end
    end

    def forget = @lessons = nil
    def exchanged(part) = part.details["not"].to_a

    def proposed(days, today, seed:, without: {})
      has = shelf if shelf.any?
      Rungs::Planning::Week.new(days: days, at_work: at_work, seed: seed, minutes: minutes, met: met, recent: recent,
                                slips: slips(today), without: without, has: has, settings: @room.activity_settings)
    end

    def keep(date, part)
      to = @room.lesson_for(date)
      to.course.plan(part.kind.id, minutes: part.minutes, details: details(part))
    end

    def details(part)
      { "options" => part.options, "seed" => part.seed, "count" => part.items.size, "why" => part.why,
        "fresh" => part.fresh }
    end

    # By activity, the last day on which it was planned.
    def met
      done = LessonPart.there.join(:lessons, id: :lesson_id).where(Sequel[:lesson_parts][:classroom_id] => @room.id)
      days = done.where(Sequel[:held_on] < monday + DAYS).select_group(:kind)
      days.select_append(Sequel.function(:max, :held_on).as(:day)).naked.as_hash(:kind, :day)
    end

    # The items of the last school days, and of what is planned in this week.
    def recent
      from = (1..30).lazy.map { |back| monday - back }.select { |day| Rungs::SchoolDays.school_day?(day) }
      days = from.first(Rungs::Planning::Week::AGAIN).last..monday + 6
      parts = LessonPart.there.where(lesson: @room.lessons_dataset.unordered.where(held_on: days)).eager(:lesson).all
      parts.flat_map { |part| part.items.all_data.map { |data| [part.kind, data] } }
    end

    def slips(today) = @evidence.slips_of_late(today).sort_by { |_, who| -who.size }.map { |slip, _| slip.id }
  end
end
