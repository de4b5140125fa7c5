# frozen_string_literal: true

module Pages
  module Board
    # A quick look on the board: ready, shown for its seconds and then covered, opened for looking together, its ways
    # beside it. Never faster than one picture a second.
    class LookState
      COMMANDS = %w[look open cover ways initials].freeze

      # Seconds that a picture may take to reach a board.
      ON_THE_WAY = 0.5

      # @param data [Hash] as kept on the lesson
      # @param look [Records::Look]
      # @param now [Float] seconds since the epoch
      def initialize(data, look, now: Time.now.to_f)
        @data = data
        @look = look
        @now = now
      end

      attr_reader :look

      # "ready", "flash", "covered" or "open"
      def show = @data.fetch("show", "ready") == "flash" && left <= 0 ? "covered" : @data.fetch("show", "ready")

      # @return [Float] seconds that the picture is still to be seen
      def left = @data.fetch("flash_at", 0) + look.seconds - @now

      # What a window is told to show it for: its whole time where the picture has only just been asked for, whatever
      # the way there took; what is left of it where the window came late.
      def window = left > look.seconds - ON_THE_WAY ? look.seconds : left

      def ways? = @data["ways"] == true
      def initials? = @data["initials"] == true

      # @return [Hash] the next state
      # @raise [ArgumentError]
      def after(command)
        raise ArgumentError, command unless COMMANDS.include?(command)

        @data.merge(send("after_#{command}"))
      end

      private

      # A look that is still running is not begun again.
      def after_look = left.positive? && @data["show"] == "flash" ? {} : { "show" => "flash", "flash_at" => @now }
      def after_open = { "show" => "open" }
      def after_cover = { "show" => "covered" }
      def after_ways = { "ways" => !ways? }
      def after_initials = { "initials" => !initials? }
    end
  end
end
