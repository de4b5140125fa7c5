# frozen_string_literal: true

module Records
  # How many children of a class worked on which rung at the end of each week, in an operation and range.
  class River
    WEEKS = 10

    # @param room [Classroom]
    # @param operation, band [String]
    # @param today [Date]
    def initialize(room, operation, band, today)
      @room = room
      @operation = operation
      @band = band
      @today = today
      @evidence = Evidence.new(room)
    end

    # @return [Array<Date>] the last day of each week, today the last
    def days = @days ||= (0...WEEKS).map { |back| @today - (7 * back) }.reverse

    # @return [Array<Array<Integer>>] by week, how many on each rung
    def weeks
      @weeks ||= days.map do |day|
        working = @room.children.filter_map { |child| rung(child, day) }
        (1..5).map { |level| working.count(level) }
      end
    end

    def heard? = weeks.last.sum.positive?
    def unclear = @room.children.size - weeks.last.sum

    # @return [Hash{Symbol => Array<Child>}] up and down: who works on another rung than at its beginning
    def moved
      @moved ||= begin
        both = @room.children.to_h do |child|
          [child, @evidence.movement(child, @operation, @band, from: days.first, to: @today)]
        end
        { up: both.select { |_, step| step.positive? }.keys, down: both.select { |_, step| step.negative? }.keys }
      end
    end

    private

    def rung(child, day) = @evidence.estimate_on(child, @operation, @band, day).working
  end
end
