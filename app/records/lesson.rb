# frozen_string_literal: true

module Records
  # One day's lesson in a class: the problems posed, in order, and what stands on its board.
  class Lesson < Sequel::Model(:lessons)
    include OnBoard
    include Lent
    extend OnBoard::ByCode
    extend Lent::ByKey

    CHANNEL = :rungs_board

    many_to_one :classroom, class: "Records::Classroom"
    one_to_many :problems, class: "Records::PosedProblem", order: %i[posed_at id], conditions: { check_in_id: nil }

    # @param problem [Rungs::Problem]
    # @param story [String] the words, as the teacher left them
    # @param template [String, nil]
    # @param at [Time]
    # @param part [LessonPart, nil] the part of the lesson it is posed in
    # @param item [Integer, nil] which of its items it is
    # @param number_set ["easier", "middle", "harder", nil] where the story carries several
    # @return [PosedProblem]
    def pose(problem, **how) = build_posed(problem, **how).save_changes

    # The same, not kept.
    def build_posed(problem, story:, template: nil, at: Time.now, part: nil, item: nil, number_set: nil)
      PosedProblem.new(
        classroom_id: classroom_id, lesson_id: id, part_id: part&.id, item: item, number_set: number_set,
        situation: problem.situation&.id, equation: problem.to_s, unknown: problem.unknown.to_s,
        parts: Sequel.pg_array(problem.parts, :integer), affords: Sequel.pg_array(problem.affords, :integer),
        operation: problem.operation, band: problem.band, story: story, template: template, posed_at: at
      )
    end

    # A day's lesson as it would be where nothing is planned, with the usual parts: not kept.
    # @return [Lesson]
    def self.usual(classroom, day)
      lesson = new(classroom_id: classroom.id, held_on: day).read_with(classroom: classroom)
      lesson.tap { lesson.course.offer_usual }
    end

    # @return [Array(Time, Time)] from when it was begun, else the beginning of its day, until its end or now
    def hours(now = Time.now)
      begun = course.parts.flat_map(&:runs).map(&:started_at).min || classroom.midnight(held_on)
      [begun, [ended_at || now, begun].max]
    end

    # @param groups [Array<Array<Child>>]
    def keep_groups(groups) = update(groups: Sequel.pg_jsonb(groups.map { |group| group.map(&:id) }))

    # @return [PosedProblem, nil] one of its problems
    def problem(id) = id.to_s.match?(/\A\d{1,18}\z/) ? problems_dataset.first(id: id.to_i) : nil

    # @return [PosedProblem, nil] the problem posed after one of them
    def following(posed) = problems_dataset.all.drop_while { |each| each.id != posed.id }[1]

    # @return [PosedProblem, nil] the last that was heard, else the last posed: whose ways can be shared
    def shareable
      posed = problems_dataset.reverse
      posed.first(id: classroom.observations_dataset.standing.select(:problem_id)) || posed.first
    end

    # Two ways heard of one problem, the least and the most abstract of those to share.
    # @return [Array(Rungs::Problem, Array<Rungs::Strategy::Path>), nil]
    def ways_heard
      posed = shareable or return
      paths = posed.sharing.map(&:path)
      [posed.problem, [paths.first, paths.last]] if paths.size > 1
    end

    # @return [Course] its parts, and how it goes through them
    def course = @course ||= Course.new(self)

    # Read again, its parts too.
    def refresh = super.tap { @course = nil }

    # Ends it: the code dies, and boards opened with it are told.
    # @param done [Boolean] whether the part still going on is done, or kept for another day
    def finish(done: false)
      course.leave(stopped: !done)
      db[:showings].where(covered_at: nil, problem_id: problems_dataset.select(:id)).update(covered_at: Time.now)
      update(ended_at: Time.now, code: nil)
      db.notify(CHANNEL, payload: id.to_s)
    end

    # Goes on with a lesson that was ended too soon.
    def reopen = update(ended_at: nil)
  end
end
