# frozen_string_literal: true

require "tzinfo"

module Records
  # A class of children, with its lessons and records.
  class Classroom < Sequel::Model(:classrooms)
    one_to_many :children, class: "Records::Child", order: %i[place name], conditions: { left_on: nil }
    one_to_many :lessons, class: "Records::Lesson", order: Sequel.desc(:held_on)
    one_to_many :problems, class: "Records::PosedProblem", order: %i[posed_at id], conditions: { check_in_id: nil }
    one_to_many :observations, class: "Records::Observation"

    # What every tap asks is planned once for each connection: here the class of an account, its children, and a day’s
    # lesson.
    OF = where(id: :$id).where(id: DB[:memberships].where(account_id: :$account_id).select(:classroom_id))
                        .prepare(:first, :classroom_of)
    CHILDREN = Child.where(classroom_id: :$id, left_on: nil).order(:place, :name).prepare(:select, :children_of)
    CHILD = Child.where(classroom_id: :$classroom_id, id: :$id, left_on: nil).prepare(:first, :child_of)
    ON_DAY = Lesson.where(classroom_id: :$id, held_on: :$day).prepare(:first, :lesson_on)
    private_constant :CHILDREN, :CHILD, :ON_DAY

    # A child and a problem that were read with it.
    def bring(child:, problem:)
      @child, @problem = child, problem
    end

    def children = associations[:children] ||= CHILDREN.call(id: id)

    def off_the_list = Child.where(classroom_id: id).exclude(left_on: nil).order(:name).all

    # @return [Integer] how many children are on the list now
    def size = children_dataset.count

    def zone = TZInfo::Timezone.get(time_zone)

    EPOCH = Date.new(1970, 1, 1)
    private_constant :EPOCH

    # @param now [Time]
    # @return [Date] the day it is there
    def today(now = Time.now)
      seconds = now.to_i
      @period = zone.period_for_utc(now.getutc) unless @period && covers?(@period, seconds)
      EPOCH + ((seconds + @period.observed_utc_offset) / 86_400)
    end

    # @return [Time] with that zone's offset
    def local(time) = zone.to_local(time)

    # @return [Time] when that day begins there
    def midnight(day) = zone.local_to_utc(Time.utc(day.year, day.month, day.day), &:first)

    def lesson_on(day) = own(ON_DAY.call(id: id, day: day))

    # Class and school, for a foot line.
    def named = [name, school].reject(&:empty?).join(", ")

    # @param id [String] of Rungs::Planning::Setting::ALL
    # @return [String] this class's choice, else the usual one
    def setting(id) = Rungs::Planning::Setting::ALL.fetch(id).choice(settings[id])

    # What an activity is told of the class: its settings, which facts are due, and which two ways were heard.
    def activity_settings
      { **pictured, turned: setting("turned"), minus: setting("minus").tr("_", " "), signs: setting("signs"),
                    facts: ->(operation) { due_facts[operation] }, names: -> { called },
                    ways_heard: -> { lesson_on(today)&.ways_heard } }
    end

    # First names, as they are called out.
    def called = children.map { |child| child.name.split.first }

    # How pictures are drawn for it.
    # @return [Hash{Symbol => Symbol, Boolean}]
    def pictured
      { fill: setting("fill").to_sym, whole: setting("whole").to_sym, fingers: setting("fingers") == "welcome" }
    end

    # By operation; looked for once, however many parts of a lesson ask.
    def due_facts
      @due_facts ||= Hash.new { |all, operation| all[operation] = Evidence.new(self).due_facts(operation, on: today) }
    end

    # @return [Hash{Symbol => String}] the band and the operation it is at; none before its first problem
    def at_work
      last = problems_dataset.for_everybody.last
      last ? { band: last.band, operation: last.operation } : {}
    end

    # A class with the same children, settings and teacher, and no records; this one is put away.
    # @param name [String]
    # @param by [Account]
    # @return [Classroom]
    def begin_anew(name, by:)
      DB.transaction do
        following = by.start_classroom(name: name, school: school, time_zone: time_zone)
        following.keep_settings(settings.to_h.except("apart"))
        Child.enrol(following, children.map(&:name))
        update(archived_on: today)
        following
      end
    end

    # Whether a day is marked as one without school.
    def off?(day) = settings["off"].to_a.include?(day.iso8601)

    # @param days [Array<Date>]
    # @param closed [Boolean] without school, or with it after all
    def mark_off(days, closed: true)
      marked = days.map(&:iso8601)
      there = settings["off"].to_a
      keep_settings("off" => closed ? (there + marked).uniq.sort : there - marked)
    end

    # Keeps more settings beside those there are.
    def keep_settings(more) = update(settings: Sequel.pg_jsonb(settings.to_h.merge(more)))

    # @return [Array<Array(Integer, Integer)>] pairs of children that are not to be in one group
    def apart = settings["apart"].to_a.map(&:to_a)

    # @param pair [Array(Integer, Integer)] children's ids, the smaller first
    def keep_apart(pair, together: false)
      keep_settings("apart" => together ? apart - [pair] : (apart + [pair]).uniq)
    end

    # @return [Hash{Date => Array<Integer>}] by day, the children who are away
    def absences(days) = DB[:absences].where(classroom_id: id, day: days).select_hash_groups(:day, :child_id)

    # Notes that a child is away on a day, or is there after all.
    def note_absence(child, day, away:)
      absence = { classroom_id: id, child_id: child.id, day: day }
      away ? DB[:absences].insert_conflict.insert(**absence) : DB[:absences].where(absence).delete
    end

    # That day's lesson as it is, begun here where there was none.
    def lesson_for(day) = lesson_on(day) || start_lesson(day)

    # Starts that day's lesson, or finds it already started.
    def start_lesson(day)
      Lesson.dataset.insert_conflict(target: %i[classroom_id held_on]).insert(classroom_id: id, held_on: day)
      lesson_on(day).tap { |lesson| lesson.reopen if lesson.ended_at }
    end

    # @return [Lesson, nil] the last lesson before a day
    def lesson_before(day) = own(lessons_dataset.first(Sequel[:held_on] < day))

    # @return [Lesson, nil] the last lesson before a day, where it was begun and stopped with parts left
    def unfinished(day)
      last = lesson_before(day)
      last if last && last.course.left.any? && last.course.parts.any?(&:begun?)
    end

    # @return [Date, nil] the day of the first lesson
    def first_day = lessons_dataset.unordered.min(:held_on)

    # @return [Date, nil] the last lesson up to a day, or the nearest before or after it, in which somebody was heard
    def heard_up_to(day) = lessons_heard.where(Sequel[:held_on] <= day).max(:held_on)
    def heard_before(day) = lessons_heard.where(Sequel[:held_on] < day).max(:held_on)
    def heard_after(day) = lessons_heard.where(Sequel[:held_on] > day).min(:held_on)

    # @param key [String] the first key of a record
    # @return [Observation, nil] the version that stands
    def record(key, **of) = observations_dataset.standing.first(first_key: key, **of)

    # @return [Array<Observation>] the last of a lesson
    def last_records(lesson, **of) = Observation.last_of(lesson, **of)

    # @return [Lesson, nil]
    def lesson(id) = id.to_s.match?(/\A\d{1,18}\z/) ? own(lessons_dataset.first(id: id.to_i)) : nil

    # @return [LessonPart, nil] a part of any of its lessons
    def part(id) = id.to_s.match?(/\A\d{1,18}\z/) ? LessonPart.there.first(classroom_id: self.id, id: id.to_i) : nil

    # @return [LessonPart, nil] one that was taken out
    def part_out(id) = LessonPart.exclude(removed_at: nil).first(classroom_id: self.id, id: id.to_i)

    # @return [Child, nil]
    def child(id)
      return unless id.to_s.match?(/\A\d{1,18}\z/)
      return @child if @child&.id == id.to_i

      CHILD.call(classroom_id: self.id, id: id.to_i)
    end

    # @return [Child, nil] also one who has left the list, and has records all the same
    def anybody(id) = child(id) || (Child.first(classroom_id: self.id, id: id.to_i) if id.to_s.match?(/\A\d{1,18}\z/))

    # @return [PosedProblem, nil]
    def problem(id)
      return unless id.to_s.match?(/\A\d{1,18}\z/)
      return @problem if @problem&.id == id.to_i

      PosedProblem::OF.call(classroom_id: self.id, id: id.to_i)
    end

    # The problem posed last, today; the last of any day.
    def current_problem(day = today) = (lesson = lesson_on(day)) && lesson.problems_dataset.for_everybody.last
    def last_problem = problems_dataset.for_everybody.last
    def last_story = problems_dataset.exclude(situation: nil).last

    # @return [Array<String>] the stories heard here since a day
    def templates_since(day)
      problems_dataset.unordered.where(Sequel[:posed_at] >= day).exclude(template: nil).distinct.select_map(:template)
    end

    private

    # A lesson that knows its class without asking for it.
    def own(lesson) = lesson&.tap { lesson.associations[:classroom] = self }

    def lessons_heard
      heard = problems_dataset.unordered.where(id: observations_dataset.standing.select(:problem_id))
      lessons_dataset.unordered.where(id: heard.select(:lesson_id))
    end

    # Between two changes of the clock.
    def covers?(period, seconds)
      from, to = [period.start_transition, period.end_transition].map { |each| each&.timestamp_value }
      (from.nil? || from <= seconds) && (to.nil? || seconds < to)
    end
  end
end
