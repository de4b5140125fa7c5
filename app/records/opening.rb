# frozen_string_literal: true

module Records
  # What stands ready when a part of a lesson begins, or is come back to.
  class Opening
    # By kind of part: made the first time, and what goes on the board each time.
    KINDS = { "story" => :stories, "practice" => :practice }.freeze

    # @param lesson [Lesson]
    # @param part [LessonPart]
    def initialize(lesson, part)
      @lesson = lesson
      @part = part
    end

    # @param first [Boolean] whether it never ran before
    def call(first)
      return @lesson.show_item(@part, @part.problems_dataset.max(:item) || 0) if @part.items

      KINDS.key?(@part.kind) && send(KINDS.fetch(@part.kind), first)
    end

    private

    def stories(first)
      if first
        @part.ready.each do |each|
          problem = Rungs::Problem.told(each["situation"], each["numbers"])
          @lesson.pose(problem, story: each["story"], template: each["template"], part: @part,
                                number_set: each["number_set"])
        end
      end
      back = @part.problems_dataset.first(number_set: "middle") || @part.problems_dataset.first
      @lesson.put_on_board(back) if back
    end

    # Where nothing was chosen, the numbers worked on last.
    def practice(first)
      last = @lesson.problems_dataset.for_everybody.last
      return unless first && last && @part.equations.empty?

      equations = Rungs::Problem::Pool.of(last.operation, last.band).equations(8, random: Random.new)
      @part.update(details: Sequel.pg_jsonb(@part.details.to_h.merge("equations" => equations)))
    end
  end
end
