# frozen_string_literal: true

module Records
  # What stands ready when a part of a lesson begins, or is come back to.
  class Opening
    # By kind of part: made the first time, and what goes on the board each time.
    KINDS = { "story" => :stories, "string" => :string, "practice" => :practice }.freeze

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

    # The next bare problem of a string, once the one before was looked at.
    # @return [PosedProblem, nil] nil where that was the last
    def next_of_string
      text = @part.equations[@part.problems_dataset.count] or return
      posed = @lesson.pose(Rungs::Problem::Equation.parse(text).to_problem, story: "", part: @part)
      @lesson.put_on_board(posed)
      posed
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

    def string(first)
      if first && @part.equations.empty?
        problems = Rungs::Activity::NumberString.for(@part.details["move"] || "up_through_ten",
                                                     random: Random.new).problems
        @part.update(details: Sequel.pg_jsonb(@part.details.to_h.merge("equations" => problems.map(&:to_s))))
      end
      first ? next_of_string : @lesson.put_on_board(@part.problems_dataset.last)
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
