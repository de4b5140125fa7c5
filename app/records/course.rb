# frozen_string_literal: true

require "zlib"

module Records
  # The course of a lesson: its parts in order, the one going on, and how it goes forward, back, or stops for another
  # day.
  class Course
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

    # The usual parts: the same of a day, whenever they are asked for.
    def plan_usual
      DB.transaction do
        usual_minutes.each { |kind, minutes| plan(kind, minutes: minutes, details: usual_details(kind)) }
      end
    end

    # The same, not kept.
    def offer_usual
      @parts = usual_minutes.map do |kind, minutes|
        activity = Rungs::Activity::ALL.fetch(kind)
        details = seeded(activity, usual_details(kind)).to_jsonb
        LessonPart.new(classroom_id: @lesson.classroom_id, kind: kind, minutes: minutes, details: details)
                  .tap { |part| part.associations.update(lesson: @lesson, runs: []) }
      end
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
    def shift(part, step)
      other = parts[(parts.index(part) + step).clamp(0, parts.size - 1)]
      order = parts.map(&:id).tap { |ids| ids[ids.index(part.id)], ids[ids.index(other.id)] = other.id, part.id }
      DB.transaction { order.each_with_index { |id, place| LessonPart.where(id: id).update(place: place + 1) } }
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

    # Poses a problem of the teacher's own: in the part going on that takes such, else in a new one after it.
    # @param told [Array<Hash>] the data of items
    # @param show [Boolean] whether it goes on the board
    # @return [PosedProblem] the one to begin with
    def tell(told, show: true, at: Time.now)
      part = current if current&.activity == Rungs::Activity::POSED
      part ||= (quiet_part(at) unless show)
      part ||= plan(Rungs::Activity::POSED.id, details: { count: 0 }, after: current)
      first = part.items.add(show ? told : told.map { |data| { **data, quiet: true } })
      shown = first + (told.index { |data| [nil, "middle"].include?(data[:number_set]) } || 0)
      told.each_index { |index| part.items.posed(first + index, at: at) }
      show_told(part, shown) if show
      part.items.posed(shown)
    end

    # A part for a problem whose own was taken out.
    # @return [LessonPart]
    def adopt(posed)
      told = Rungs::Activity::POSED.data_for(posed.problem, posed.story, template: posed.template)
      plan(Rungs::Activity::POSED.id, details: { count: 0 }).tap do |part|
        part.items.add([told])
        posed.update(part_id: part.id, item: 0)
      end
    end

    private

    def full = raise(Rungs::Error::TooMany, "A lesson has room for #{MOST} parts. Take one out first.")

    # Where a problem goes that is not for the board: to the last such part that began, never into one that is only
    # planned; else into one of its own, which is done with it.
    def quiet_part(at)
      there = parts.reverse.find { |each| each.activity == Rungs::Activity::POSED && each.begun? }
      there || plan(Rungs::Activity::POSED.id, details: { count: 0 }).tap do |part|
        PartRun.create(part_id: part.id, started_at: at, ended_at: at)
        forget
      end
    end

    def show_told(part, item)
      part.running? ? @lesson.show_item(part, item) : go(part)
    end

    # They fill the class's time.
    # @return [Hash{String => Integer}] by activity
    def usual_minutes
      usual = Rungs::Activity::USUAL.to_h { |kind| [kind, Rungs::Activity::ALL.fetch(kind).minutes] }
      shares = Rungs::Planning::Shape.shared(usual.values, of: Integer(@lesson.classroom.setting("minutes")))
      usual.keys.zip(shares).to_h
    end

    def usual_details(kind)
      there = @lesson.id ? parts.count { |part| part.kind == kind } : 0
      { seed: (Zlib.crc32("#{@lesson.classroom_id} #{@lesson.held_on} #{kind} #{there}") % 9999) + 1 }
    end

    # Its items are made of options and a seed; where nothing was chosen, what fits the class.
    def seeded(activity, details)
      given = Details.read(details)
      given.with(options: given.to_h["options"] || activity.fitted(@lesson.classroom.current_aim),
                 seed: given.seed || Random.rand(1..9999))
    end

    def forget = @parts = nil
  end
end
