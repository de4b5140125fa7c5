# frozen_string_literal: true

module Pages
  module Board
    # Renders what a lesson's board shows now; the same for the teacher and for a board opened by its code.
    module Screen
      # Characters of a number sentence that stand in one line at full size.
      LONG_SENTENCE = 22

      DRAWN = Live::Screens.new

      # The whole board. screen: HTML, what it shows. follow: from where it hears what changes; leave: where one goes
      # back to; both nil where there is nothing.
      def board(screen:, follow: nil, leave: nil)
        partial(:"board/layout", screen: screen, follow: follow, leave: leave)
      end

      # What is seen for a moment is drawn anew each time, since it tells how long it is still to be seen.
      def screen_of(lesson)
        @lesson = lesson
        return draw_screen if lesson.board.until

        key = [lesson.id, lesson.board_version, @room.nil?, lesson.classroom.settings.to_h]
        DRAWN.fetch(key) { draw_screen }
      end

      def draw_screen
        state = @lesson.on_board
        state ? partial(:"board/_step", state: state) : partial(:"board/_nothing")
      end

      # A way's number sentences, one under the other; where the class writes them down the page, in two columns that
      # meet at the equals sign.
      # @return [Array<Array<String>>] the columns of each line
      def lined(lines)
        return lines.zip unless @lesson.classroom.setting("sentences") == "down"

        lines.map { |line| line.split(/ (?==)/, 2) }
      end

      # Whether a number sentence needs more than one line at full size.
      def long?(sentence) = sentence.size > LONG_SENTENCE

      # Each sentence on a line, as it is read aloud.
      def sentences(words) = words.split(/(?<=[.?!]) /)
    end
  end
end
