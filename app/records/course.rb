# frozen_string_literal: true

module Records
  # The course of a lesson: its parts in order, the one going on, and how it goes forward, back, or stops for another
  # day.
  class Course
    # @param lesson [Lesson]
    def initialize(lesson)
      @lesson = lesson
    end

    def parts = @parts ||= LessonPart.where(lesson_id: @lesson.id).order(:place, :id).eager(:runs).all
    def minutes = parts.sum(&:minutes)
    def current = parts.find(&:running?)
    def left = parts.select(&:left?)
    def part(id) = parts.find { |each| each.id == id.to_i }

    # @param step [Integer] 1 for the part after the current one, −1 for the one before
    def beside(step)
      place = current ? parts.index(current) + step : parts.index(left.first)
      place&.>=(0) ? parts[place] : nil
    end

    # @param kind [String] an id of Rungs::Planning::Part::ALL or Rungs::Activity::ALL
    # @param details [Hash] what it needs to begin
    # @param after [LessonPart, nil] put after this one; else at the end
    # @return [LessonPart]
    def plan(kind, minutes: nil, details: {}, after: nil)
      entry = LessonPart.entry(kind)
      place = after ? after.place + 1 : (parts.map(&:place).max || 0) + 1
      DB.transaction do
        LessonPart.where(lesson_id: @lesson.id).where(Sequel[:place] >= place).update(place: Sequel[:place] + 1)
        LessonPart.create(classroom_id: @lesson.classroom_id, lesson_id: @lesson.id, place: place, kind: entry.id,
                          minutes: minutes || entry.minutes, details: Sequel.pg_jsonb(seeded(entry.id, details)))
      end.tap { forget }
    end

    def plan_usual = Rungs::Planning::Part::USUAL.each { |kind| plan(kind) }

    # What another lesson left undone, before anything planned here.
    def take_over(course)
      course.left.each_with_index do |part, index|
        plan(part.kind, minutes: part.minutes, details: part.remainder.to_h).update(place: index - course.left.size)
      end
      forget
    end

    # @param step [Integer] −1 earlier, 1 later
    def shift(part, step)
      other = parts[(parts.index(part) + step).clamp(0, parts.size - 1)]
      order = parts.map(&:id).tap { |ids| ids[ids.index(part.id)], ids[ids.index(other.id)] = other.id, part.id }
      DB.transaction { order.each_with_index { |id, place| LessonPart.where(id: id).update(place: place + 1) } }
      forget
    end

    # Leaves the part going on and begins this one.
    def go(part)
      DB.transaction do
        leave
        first = !part.begun?
        part.update(skipped: false)
        PartRun.create(part_id: part.id)
        Opening.new(@lesson, part).call(first)
      end
      forget
    end

    # Passes the part going on, or the next one, over.
    def skip
      part = current || left.first or return
      following = beside(1) if current
      part.update(skipped: true)
      following ? go(following) : leave
      forget
    end

    # Stops for today: what is left can be gone on with another day.
    def stop = leave(stopped: true)

    # Leaves the part going on, done.
    def leave(stopped: false)
      PartRun.where(part_id: parts.map(&:id), ended_at: nil).update(ended_at: Time.now, stopped: stopped)
      forget
    end

    # Where a problem posed now belongs: the story part going on, or a new one after what is going on; nil with no
    # lesson going on.
    def part_for_problem
      return current if current.nil? || current.kind == "story"

      plan("story", after: current).tap { |part| go(part(part.id)) }
    end

    private

    # An activity's items are made of options and a seed; a set that depends on the records is kept as it is now.
    def seeded(kind, details)
      activity = Rungs::Activity::ALL[kind] or return details
      made = { "options" => {}, "seed" => Random.rand(1..9999) }.merge(details)
      return made if made.key?("thrown") || !activity.from_records?

      data = activity.with(made["options"], @lesson.classroom.activity_settings).data(seed: made["seed"])
      made.merge("count" => data.size, "thrown" => data.each_with_index.to_h { |each, index| [index.to_s, each] })
    end

    def forget = @parts = nil
  end
end
