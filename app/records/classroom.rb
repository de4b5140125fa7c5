# frozen_string_literal: true

require "tzinfo"

module Records
  # A class of children, with its lessons and records.
  class Classroom < Sequel::Model(:classrooms)
    one_to_many :children, class: "Records::Child", order: :name, conditions: { left_on: nil }
    one_to_many :lessons, class: "Records::Lesson", order: Sequel.desc(:held_on)
    one_to_many :problems, class: "Records::PosedProblem", order: %i[posed_at id], conditions: { check_in_id: nil }
    one_to_many :observations, class: "Records::Observation"

    # What every tap asks is planned once for each connection: here the class of an account, its children, and a day’s lesson.
    OF = where(id: :$id).where(id: DB[:memberships].where(account_id: :$account_id).select(:classroom_id)).prepare(:first, :classroom_of)
    CHILDREN = Child.where(classroom_id: :$id, left_on: nil).order(:name).prepare(:select, :children_of)
    CHILD = Child.where(classroom_id: :$classroom_id, id: :$id, left_on: nil).prepare(:first, :child_of)
    ON_DAY = Lesson.where(classroom_id: :$id, held_on: :$day).prepare(:first, :lesson_on)
    private_constant :CHILDREN, :CHILD, :ON_DAY

    def children = associations[:children] ||= CHILDREN.call(id: id)

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

    def lesson_on(day) = ON_DAY.call(id: id, day: day)

    # @param id [String] of Rungs::Planning::Setting::ALL
    # @return [String] this class's choice, else the usual one
    def setting(id) = Rungs::Planning::Setting::ALL.fetch(id).choice(settings[id])

    # Starts that day's lesson, or finds it already started.
    def start_lesson(day)
      Lesson.dataset.insert_conflict(target: %i[classroom_id held_on]).insert(classroom_id: id, held_on: day)
      lesson_on(day).tap { |lesson| lesson.reopen if lesson.ended_at }
    end

    # @return [Lesson, nil] the last lesson before a day, where it was begun and stopped with parts left
    def unfinished(day)
      last = lessons_dataset.first(Sequel[:held_on] < day)
      last if last && last.course.left.any? && last.course.parts.any?(&:begun?)
    end

    # @return [Child, nil]
    def child(id) = id.to_s.match?(/\A\d{1,18}\z/) ? CHILD.call(classroom_id: self.id, id: id.to_i) : nil

    # @return [PosedProblem, nil]
    def problem(id) = id.to_s.match?(/\A\d{1,18}\z/) ? PosedProblem::OF.call(classroom_id: self.id, id: id.to_i) : nil

    # The problem posed last, today; the last of any day.
    def current_problem(day = today) = (lesson = lesson_on(day)) && lesson.problems_dataset.for_everybody.last
    def last_problem = problems_dataset.for_everybody.last

    # @return [Array<String>] the stories heard here since a day
    def templates_since(day) = problems_dataset.unordered.where(Sequel[:posed_at] >= day).exclude(template: nil).distinct.select_map(:template)

    private

    # Between two changes of the clock.
    def covers?(period, seconds)
      (period.start_transition.nil? || period.start_transition.timestamp_value <= seconds) && (period.end_transition.nil? || seconds < period.end_transition.timestamp_value)
    end
  end
end
