# frozen_string_literal: true

module Records
  # The lessons of a week: its aim, what is planned, what the records propose, and moving it about.
  class Week
    # Days of school in a week; weeks that can be repeated; days after which what was left is let go.
    DAYS, BACK, RECENT = 5, 20, 8
    # What is another in another week; the rest goes by what is known.
    TURNS = %w[main game compare].freeze

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

    # @return [Lesson, nil]
    def lesson(date) = lessons[date]

    # @return [Array<LessonPart>]
    def parts_on(date) = lesson(date)&.course&.parts.to_a
    def planned = dates.to_h { |date| [date, parts_on(date)] }
    def empty? = planned.values.all?(&:empty?)

    # @return [Array<LessonPart>] of which each is done, in the order of the week
    def parts = planned.values.flatten

    # @return [Array<Array(String, String)>] what of a part is new to the class
    def fresh(part) = met(@room.today).fresh.fetch(part.id, [])
    def fresh_on(date) = parts_on(date).flat_map { |part| fresh(part).map { |thing| [part, thing] } }

    # The nearest day that has nothing new and is still to come, for one thing too many.
    # @return [Date, nil]
    def calmer_than(date, today)
      free = dates.select { |day| day >= today && !off?(day) && day != date && fresh_on(day).empty? }
      free.min_by { |day| [(day - date).abs, day] }
    end

    # @return [Array<String>] the things that the class has
    def shelf = @room.settings["shelf"].to_a
    def shelve(thing, there:) = @room.keep_settings("shelf" => there ? (shelf + [thing]).uniq : shelf - [thing])

    # The aim: the teacher's, else where the class is.
    # @return [Hash{Symbol => String}] band and operation
    def at_work = @at_work ||= where_it_is.merge(kept.slice(:band, :operation).compact)

    # @return [String, nil] the sentence of the week: the teacher's, else what most of it is about
    def i_can = kept[:i_can] || about

    # @param said [String] the sentence; where it says what the week is about anyway, none is kept
    # @param aim [Hash{Symbol => String}] band and operation
    def aim(said, **aim)
      keep_row(**aim, i_can: ([about.to_s, ""].include?(said) ? nil : said))
      @at_work = nil
    end

    # Fills the days that have nothing, from today on.
    # @param without [Array<String>] what is not wanted
    def propose(today, without: [])
      open = dates.select { |date| date >= today && !off?(date) && parts_on(date).empty? }
      proposed(open, today, without: without).days.each do |day|
        day.parts.each { |part| keep(day.date, part) }
      end
      forget
    end

    # Another week in the place of what was proposed and has not begun.
    # @return [Integer] its seed, by which it can be taken back
    def propose_another(today)
      DB.transaction do
        keep_row(seed: seed + 1)
        old = dates.select { |date| proposed?(date, today) }.flat_map { |date| parts_on(date) }
        old.each { |part| part.keep("instead" => seed) }
        take_out(old)
        propose(today, without: old.select { |part| TURNS.include?(part.details["role"]) }.map { |part| key(part) })
      end
      seed
    end

    # The week as it was before the one of that seed was proposed.
    def take_back(seed)
      DB.transaction do
        take_out(parts.select { |part| part.details["proposed"] == seed && !part.begun? })
        instead = Sequel.cast(Sequel.lit("details ->> 'instead'"), Integer)
        of_week.where(instead => seed).update(removed_at: nil)
        keep_row(seed: [seed - 1, 1].max)
        forget
      end
    end

    # The next best in the place of a part that has not begun.
    # @return [Boolean] whether there is one
    def exchange(part, today)
      found = next_best(part, today) or return false
      part.update(kind: found.kind.id, minutes: found.minutes,
                  details: Sequel.pg_jsonb(details(found).merge("not" => [*exchanged(part), key(part)])))
      forget
      true
    end

    # @param course [Course] of another day
    def copy(course, date)
      to = @room.lesson_for(date).course
      course.parts.each { |part| to.plan(part.kind, minutes: part.minutes, details: part.details.to_h) }
      forget
    end

    # @return [Array<Date>] Mondays of earlier weeks in which something was planned, the last first
    def earlier
      held = @room.lessons_dataset.where(id: LessonPart.there.select(:lesson_id))
      held.where(held_on: monday - (7 * BACK)...monday).unordered.select_map(:held_on)
          .map { |day| day - (day.cwday - 1) }.uniq.sort.reverse
    end

    # The lessons of an earlier week on the days that have nothing.
    def repeat(earlier)
      dates.each do |date|
        before = @room.lesson_on(earlier + (date - monday))&.course
        copy(before, date) if before && parts_on(date).empty? && !off?(date)
      end
    end

    def empty(date)
      take_out(parts_on(date).reject(&:begun?))
    end

    # A part that has not begun goes to the end of another day.
    def move(part, date)
      to = @room.lesson_for(date)
      last = to.course.parts.map(&:place).max || 0
      part.update(lesson_id: to.id, place: last + 1) unless part.begun?
      forget
    end

    # A lesson goes to another day whole, but for what has begun.
    def move_whole(date, to) = parts_on(date).reject(&:begun?).each { |part| move(part, to) }

    # The first day to come, and the lesson before it where that left something undone.
    # @return [Array(Date, Lesson), nil]
    def left_over(today)
      date = dates.find { |day| day >= today && !off?(day) && lesson(day)&.ended_at.nil? } or return
      last = @room.lesson_before(date) or return
      over = last.held_on < today || last.ended_at
      [date, last] if over && last.held_on > date - RECENT && last.course.left.any?
    end

    # What a lesson left undone flows on: it stands before what is planned for that day.
    # @param from [Lesson]
    # @param date [Date]
    def flow(from, date)
      left = from.course.left
      @room.lesson_for(date).course.take_over(from.course)
      begun, planned = left.partition(&:begun?)
      begun.each { |part| part.update(skipped: true) }
      take_out(planned)
    end

    # The offer is taken: weeks are proposed in that range; or left, and not made again.
    def open_range(offer) = @room.keep_settings("range" => offer.following)
    def stay(offer) = @room.keep_settings("stay" => offer.following)

    # Whether the range may widen, unless that was said not to be wanted yet.
    # @return [Rungs::Planning::Widening::Offer, nil]
    def widening(today)
      records = @evidence.in_range(where_it_is[:band])
      heard = @room.children.to_h { |child| [child.name, records.fetch(child.id, [])] }
      offer = Rungs::Planning::Widening.offer(band: where_it_is[:band], children: heard, on: today)
      offer unless offer.nil? || @room.settings["stay"] == offer.following
    end

    private

    def about
      main = parts.find { |part| part.details["role"] == "main" } || parts.find { |part| fresh(part).any? }
      (main || parts.first)&.activity&.i_can
    end

    # What the class works with now: the range of its last problem, or a wider one that was opened since.
    def where_it_is
      last = { band: "to10", operation: "add" }.merge(@room.at_work)
      opened = @room.settings["range"]
      order = Rungs::Planning::Widening::ORDER
      wider = opened && order.index(opened) > order.index(last[:band])
      wider ? last.merge(band: opened) : last
    end

    def row = DB[:weeks].where(classroom_id: @room.id, monday: monday)
    def kept = @kept ||= row.first || {}
    def seed = kept[:seed] || 1

    def keep_row(**values)
      DB[:weeks].insert_conflict(target: %i[classroom_id monday], update: values)
                .insert(classroom_id: @room.id, monday: monday, **values)
      @kept = nil
    end

    def lessons
      @lessons ||= @room.lessons_dataset.where(held_on: monday..monday + 6).all.to_h do |lesson|
        lesson.associations[:classroom] = @room
        [lesson.held_on, lesson]
      end
    end

    def of_week
      LessonPart.where(lesson_id: @room.lessons_dataset.unordered.where(held_on: monday..monday + 6).select(:id))
    end

    def forget = @lessons = @met = nil
    def met(today) = @met ||= Met.new(@room, today)

    # Whether a day to come has nothing but what was proposed.
    def proposed?(date, today)
      date >= today && parts_on(date).any? && parts_on(date).all? { |part| part.details["why"] && !part.begun? }
    end

    def take_out(parts)
      parts.each { |part| part.lesson.course.take_out(part) }
      forget
    end

    def exchanged(part) = part.details["not"].to_a
    def key(part) = [part.kind, part.details.dig("options", "situation")].compact.join(" ")

    def next_best(part, today)
      date, others = part.lesson.held_on, parts_on(part.lesson.held_on).reject { |each| each.id == part.id }
      role = part.details["role"] || Rungs::Planning::Week.role_of(part.activity)
      time = [minutes - others.sum(&:minutes), part.minutes].max
      week = proposed([date], today, minutes: time, except: part, without: [*exchanged(part), key(part)],
                                     seed: seed + exchanged(part).size + 1)
      week.next_best(role.to_sym, beside: others.map(&:activity), fresh: others.any? { |each| fresh(each).any? })
    end

    def proposed(days, today, seed: self.seed, minutes: self.minutes, except: nil, without: [])
      has = shelf if shelf.any?
      Rungs::Planning::Week.new(days: days, at_work: at_work, seed: seed_of(seed), minutes: minutes, recent: recent,
                                met: met(today).last(up_to: monday + DAYS, except: except), slips: slips(today),
                                without: without, has: has, settings: @room.activity_settings)
    end

    # Another for each week, the same for the same.
    def seed_of(seed) = (monday.jd % 9999) + seed

    def keep(date, part)
      to = @room.lesson_for(date)
      to.course.plan(part.kind.id, minutes: part.minutes, details: details(part))
    end

    def details(part)
      { "options" => part.options, "seed" => part.seed, "count" => part.items.size, "why" => part.why,
        "role" => part.role.to_s, "range" => part.range, "proposed" => seed }
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
