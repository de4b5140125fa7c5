# frozen_string_literal: true

module Records
  # One day's lesson in a class: the problems posed, in order, and what stands on its board.
  class Lesson < Sequel::Model(:lessons)
    CHANNEL = :rungs_board
    # Letters that are not taken for one another, on a board or aloud.
    LETTERS = "ACDEFHJKLMNPRTUWXY".chars.freeze
    LONG = 6
    CODE = /\A[A-Za-z]{#{LONG}}\z/

    many_to_one :classroom, class: "Records::Classroom"
    one_to_many :problems, class: "Records::PosedProblem", order: %i[posed_at id], conditions: { check_in_id: nil }

    # The lesson that a board code opens, as long as its day lasts and it has not ended.
    def self.by_code(code)
      lesson = code.to_s.match?(CODE) ? first(code: code.upcase, ended_at: nil) : nil
      lesson if lesson && lesson.held_on == lesson.classroom.today
    end

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
      new(classroom_id: classroom.id, held_on: day).tap do |lesson|
        lesson.associations[:classroom] = classroom
        lesson.course.offer_usual
      end
    end

    # @return [BoardState]
    def board = BoardState.read(super)

    # @return [ItemOnBoard, nil] what stands on the board; nil where nothing was put there, or its part is gone
    def on_board = (part = part_on_board) && ItemOnBoard.new(board, part.items)

    # @return [LessonPart, nil] the part whose item is on the board
    def part_on_board = board.part && course.part(board.part)

    # Changes the board and tells every window that shows it, in every server process.
    # @yield [BoardState] as it is → as it is wanted
    # @return [Lesson] as it stands
    def change_board
      db.transaction do
        lock!
        before = board
        after = posed_in(yield(before))
        update(board: after.to_jsonb, board_version: board_version + 1)
        note_looking(before, after)
        db.notify(CHANNEL, payload: id.to_s)
      end
      self
    end

    # Puts an item of an activity on the board, at its first step.
    # @param part [LessonPart]
    # @param index [Integer]
    def show_item(part, index) = change_board { ItemOnBoard.new(BoardState.new, part.items).at(index, 0) }

    # Puts a posed problem on the board, at its first step, unless it is there.
    def put_on_board(posed)
      return if board.problem == posed.id && part_on_board

      part = course.part(posed.part_id) || course.adopt(posed)
      show_item(part, posed.item)
    end

    # A command to the item on the board; what it does not know changes nothing.
    def command(name, value = nil)
      change_board { |state| part_on_board ? ItemOnBoard.new(state, part_on_board.items).after(name, value) : state }
    end

    # @return [String] six letters that open this board, until the lesson ends
    def open_code
      return code if code

      begin
        update(code: Array.new(LONG) { LETTERS.sample(random: SecureRandom) }.join)
      rescue Sequel::UniqueConstraintViolation
        retry
      end
      code
    end

    # Seconds after its end in which what waited may still come by the link; and how many records it takes in all.
    AFTER = 40 * 60
    MOST_BY_LINK = 400

    # The lesson that a link for whoever takes the class opens, on its day and until a while after its end.
    # @param key [String, nil]
    def self.by_substitute_key(key)
      lesson = key && first(substitute_key: key)
      lesson if lesson&.to_take?
    end

    def to_take? = held_on == classroom.today && (ended_at.nil? || Time.now <= ended_at + AFTER)

    # What a substitute took down in it and stands, every child's.
    def by_substitute
      Observation.standing.where(classroom_id: classroom_id, substitute: true, problem_id: problems_dataset.select(:id))
    end

    # Whether the link takes another record.
    def room_for_more?
      Observation.where(classroom_id: classroom_id, substitute: true, replaces_id: nil)
                 .where(problem_id: problems_dataset.select(:id)).count < MOST_BY_LINK
    end

    # Makes that link; or calls it back, and it leads nowhere.
    def ask_substitute = update(substitute_key: SecureRandom.hex(16))
    def call_back = update(substitute_key: nil)

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

    private

    # What comes on the board is posed with it.
    def posed_in(state)
      return state if state.empty? || state.problem

      part = course.part(state.part)
      state.with(problem: part && part.items.pose_with(state.item)&.id)
    end

    # Keeps when each problem's picture was shown, and until when.
    def note_looking(before, after)
      was, is = [before, after].map { |state| looked_at(state) }
      note_moment(before, after)
      return if was == is

      db[:showings].where(was).where(covered_at: nil).update(covered_at: Time.now) if was
      db[:showings].insert(classroom_id: classroom_id, shown_at: Time.now, **is) if is
    end

    # What is open to see, as a row of showings names it. What is seen for a moment ends by itself.
    def looked_at(state)
      return unless state.shown? && state.until.nil?

      state.problem ? { problem_id: state.problem } : { part_id: state.part, item: state.item }
    end

    def note_moment(before, after)
      return unless after.until && after.until != before.until

      db[:showings].insert(classroom_id: classroom_id, part_id: after.part, item: after.item,
                           shown_at: Time.at(after.shown_at), covered_at: Time.at(after.until))
    end
  end
end
