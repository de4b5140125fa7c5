# frozen_string_literal: true

module Pages
  module Board
    # Renders what a lesson's board shows now; the same for the teacher and for a board opened by its code.
    module Screen
      def screen_of(lesson)
        @lesson = lesson
        @posed = lesson.on_board
        return first_screen if lesson.list_on_board || lesson.part_on_board

        @posed ? partial(:"board/_screen", state: board_state) : ""
      end

      # What stands in the board's page at first.
      def first_screen
        return partial(:"board/_step", state: item_on_board) if @lesson.part_on_board

        if @lesson.list_on_board
          partial(:"board/_list", part: @lesson.list_on_board)
        else
          partial(:"board/_screen", state: board_state)
        end
      end

      def item_on_board = Records::ItemOnBoard.new(@lesson.refresh.board.to_h, @lesson.part_on_board.items)
      def board_state = @board_state ||= State.new(@lesson.refresh.board.to_h, @posed)

      # A way's number sentences, one under the other; where the class writes them down the page, in two columns that
      # meet at the equals sign.
      # @return [Array<Array<String>>] the columns of each line
      def lined(lines)
        return lines.zip unless @lesson.classroom.setting("sentences") == "down"

        lines.map { |line| line.split(/ (?==)/, 2) }
      end

      # Each sentence on a line, as it is read aloud.
      def sentences = @posed.words.split(/(?<=[.?!]) /)

      # @return [Records::PosedProblem, nil] the problem before or after this one in the lesson
      def beside(step) = @lesson.beside(@posed, step)
    end
  end
end
