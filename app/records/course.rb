# frozen_string_literal: true

module Records
  # The course of a lesson: its parts in order, the one going on, and how it goes forward, back, or stops for another
  # day.
  class Course
    include Usual
    include Telling

    # Parts: more than the longest lesson has.
    MOST = 40

    # @param lesson [Lesson]
    def initialize(lesson)
      @lesson = lesson
    end

    # Reads the parts of several lessons at once.
    def self.read(lessons)
      there = LessonPart.not_removed.where(lesson_id: lessons.map(&:id)).order(:place, :id).eager(:runs).all
      by_lesson = there.group_by(&:lesson_id)
      lessons.each { |lesson| lesson.course.hold(by_lesson.fetch(lesson.id, [])) }
    end

    def parts = @parts || hold(LessonPart.not_removed.where(lesson_id: @lesson.id).order(:place, :id).eager(:runs).all)

    # @param parts [Array<LessonPart>] of this lesson, in order
    def hold(parts) = @parts = parts.each { |part| part.read_with(lesson: @lesson) }

    def minutes = parts.sum(&:minutes)
    def current = parts.find(&:running?)
    def left = parts.select(&:left?)
    def part(id) = parts.find { |each| each.id == id.to_i }

    # @param step [Integer] 1 for the part after the current one, −1 for the one before
    def neighbour(step)
      place = current ? parts.index(current) + step : parts.index(left.first)
      place&.>=(0) ? parts[place] : nil
    end

    # @param kind [String] an id of Rungs::Activity::ALL
    # @param details [Details, Hash] what it needs to begin
    # @param after [LessonPart, nil] put after this one; else at the end
    # @return [LessonPart]
    # @raise [Rungs::Error::TooMany] where the lesson has as many as it takes
    def plan(kind, minutes: nil, details: {}, after: nil)
      full if parts.size >= MOST
      activity = Rungs::Activity::ALL.fetch(kind)
      place = after ? after.place + 1 : (parts.map(&:place).max || 0) + 1
      DB.transaction do
        LessonPart.where(lesson_id: @lesson.id).where(Sequel[:place] >= place).update(place: Sequel[:place] + 1)
        LessonPart.create(classroom_id: @lesson.classroom_id, lesson_id: @lesson.id, place: place, kind: kind,
                          minutes: minutes || activity.minutes, details: seeded(activity, details).to_jsonb)
      end.tap { forget }
    end

    # From now on the items of every part stay what they are.
    def store_items = DB.transaction { parts.each { |part| part.items.store_items } }

    # What another lesson left undone, before anything planned here.
    def take_over(course)
      course.left.each_with_index do |part, index|
        plan(part.kind, minutes: part.minutes, details: part.details).update(place: index - course.left.size)
      end
      forget
    end

    # @param step [Integer] −1 earlier, 1 later
    def shift(part, step) = move(part, parts[(parts.index(part) + step).clamp(0, parts.size - 1)])

    # Takes a part to where another of this lesson stands; that one and those between make room.
    def move(part, other)
      DB.transaction do
        @lesson.lock!
        forget
        order = parts.map(&:id)
        there = order.index(other.id)
        order.insert(there, order.delete(part.id)) if there && order.include?(part.id)
        order.each_with_index { |id, place| LessonPart.where(id: id).update(place: place + 1) }
      end
      forget
    end

    # Takes a part out, to be put back or not; a board that shows it is cleared. What was heard in it stays.
    def take_out(part)
      PartRun.where(part_id: part.id, ended_at: nil).update(ended_at: Time.now)
      part.update(removed_at: Time.now)
      forget
      @lesson.change_board { |state| state.part == part.id ? BoardState.new : state }
    end

    def put_back(part)
      part.update(removed_at: nil)
      forget
    end

    # Leaves the part going on and begins this one.
    def go(part)
      DB.transaction do
        leave
        store_items
        part.update(skipped: false)
        PartRun.create(part_id: part.id)
        @lesson.show_item(part, part.items.at_hand)
      end
      forget
    end

    # Passes the part going on, or the next one, over.
    def skip
      part = current || left.first or return
      following = neighbour(1) if current
      part.update(skipped: true)
      following ? go(following) : leave
      forget
    end

    # Leaves the part going on: done, or stopped and to be gone on with another day.
    def leave(stopped: false)
      PartRun.where(part_id: parts.map(&:id), ended_at: nil).update(ended_at: Time.now, stopped: stopped)
      forget
    end

    # The part that went last goes on, as if it had not been left.
    def go_on
      PartRun.where(part_id: parts.map(&:id)).order(:ended_at).last&.update(ended_at: nil, stopped: false)
      forget
    end

    private

    def full = raise(Rungs::Error::TooMany, "A lesson has room for #{MOST} parts. Take one out first.")

    # Its items are made of options and a seed; where nothing was chosen, what fits the class.
    def seeded(activity, details)
      given = Details.read(details)
      given.with(options: given.to_h["options"] || activity.fitted(@lesson.classroom.current_aim),
                 seed: given.seed || Random.rand(1..9999))
    end

    def forget = @parts = nil
  end
end
