# frozen_string_literal: true

module Records
  # The lessons of a week: its aim, what is planned, what of it is new, and moving it about.
  class Week
    include Moving

    # Of school in a week.
    DAYS = 5

    # @param room [Classroom]
    # @param monday [Date]
    def initialize(room, monday)
      @room = room
      @monday = monday
    end

    attr_reader :room, :monday

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

    # @return [Array<Array(String, String)>] what of a part is new to the class; nothing of what was proposed to get to
    #   know it
    def new_things(part) = part.details.proposed && standing.unheard? ? [] : history.new_things.fetch(part.id, [])
    def new_things_on(date) = parts_on(date).flat_map { |part| new_things(part).map { |thing| [part, thing] } }

    # The nearest day that has nothing new and is still to come, for one thing too many.
    # @return [Date, nil]
    def calmer_than(date, today)
      free = dates.select { |day| day >= today && !off?(day) && day != date && new_things_on(day).empty? }
      free.min_by { |day| [(day - date).abs, day] }
    end

    # @return [Array<String>] the things that the class has
    def shelf = @room.settings["shelf"].to_a

    def shelve(thing, there:)
      @room.change_settings { { "shelf" => there ? (shelf + [thing]).uniq : shelf - [thing] } }
    end

    # The aim: the teacher's, else where the class is.
    # @return [Hash{Symbol => String}] band and operation
    def current_aim
      @current_aim ||= class_standing.current_aim.slice(:band,
                                                        :operation).merge(stored_row.slice(:band, :operation).compact)
    end

    # @return [ClassStanding]
    def class_standing = @class_standing ||= ClassStanding.new(@room, monday)
    def standing = class_standing.standing(current_aim[:operation])

    # @return [Rungs::Planning::Standing] of the other operation
    def other = class_standing.standing(Rungs::Planning::Following::OTHER.fetch(current_aim[:operation]))

    # @return [Rungs::Planning::Aim]
    def goal
      @goal ||= begin
        aim = standing.aim(current_aim[:band])
        aim.with(rung: stored_row[:rung] || following || aim.rung)
      end
    end

    # Whether its aim counts as reached, by the latest answer of each child on the facts of its check.
    def reached? = latest.any? && Rungs::Planning::Check.new(present: @room.children.size).reached?(latest.values, goal)

    # @return [Array<Child>] who goes on with it in a group of their own, where it is reached
    def not_there
      waiting = Rungs::Planning::Check.new.not_there(latest, goal)
      @room.children.select { |child| waiting.include?(child.id) }
    end

    # @return [String] the sentence of the week: the teacher's, else that of its aim
    def i_can = stored_row[:i_can] || goal.i_can

    # @param said [String] the sentence; where it says what the week is about anyway, none is kept
    # @param aim [Hash{Symbol => String}] band and operation
    def aim(said, **aim)
      store_row(**aim, rung: nil, i_can: ([goal.i_can, ""].include?(said) ? nil : said))
      @current_aim = @goal = nil
    end

    # By which it is proposed; another with each proposal.
    def seed = stored_row[:seed] || 1
    def record_seed(seed) = store_row(seed: seed)

    # From its proposal on a week keeps its aim, whatever is asked before it.
    def record_aim = store_row(**current_aim, rung: goal.rung)

    # What the class has met, as of today.
    def history = @history ||= ActivityHistory.new(@room, @room.today)

    # Its parts are read again.
    def forget = @lessons = @history = @latest = nil

    private

    # The rung that follows from the week before, where this one is for the same.
    def following
      current_aim == class_standing.current_aim.slice(:band, :operation) ? class_standing.current_aim[:rung] : nil
    end

    # The latest answer of each child on the facts of its check.
    # @return [Hash{Integer => Rungs::Progress::Record}] by child
    def latest
      @latest ||= begin
        checks = parts.select(&:alongside?).map(&:id)
        ids = checks.empty? ? [] : @room.problems_dataset.unordered.where(part_id: checks).select_map(:id)
        heard = ids.empty? ? [] : Evidence.new(@room).on_problems(ids)
        heard.group_by(&:child_id).transform_values { |all| all.last.record }
      end
    end

    def row = DB[:weeks].where(classroom_id: @room.id, monday: monday)
    def stored_row = @stored_row ||= row.first || {}

    def store_row(**values)
      DB[:weeks].disable_insert_returning.insert_conflict(target: %i[classroom_id monday], update: values)
                .insert(classroom_id: @room.id, monday: monday, **values)
      @stored_row = nil
    end

    def lessons
      @lessons ||= begin
        there = @room.lessons_dataset.where(held_on: monday..monday + 6).all
        Course.read(there)
        there.to_h { |lesson| [lesson.held_on, lesson.read_with(classroom: @room)] }
      end
    end
  end
end
