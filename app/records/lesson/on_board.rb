# frozen_string_literal: true

module Records
  class Lesson
    # What stands on its board, and which windows are told.
    module OnBoard
      # Letters that are not taken for one another, on a board or aloud.
      LETTERS = "ACDEFHJKLMNPRTUWXY".chars.freeze
      LONG = 6
      CODE = /\A[A-Za-z]{#{LONG}}\z/

      # By the code that opens a board.
      module ByCode
        # The lesson that a board code opens, as long as its day lasts and it has not ended.
        def by_code(code)
          lesson = code.to_s.match?(CODE) ? first(code: code.upcase, ended_at: nil) : nil
          lesson if lesson && lesson.held_on == lesson.classroom.today
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
end
