# frozen_string_literal: true

module Records
  # What a class has done and not done yet: activities by range, and minutes planned and taken.
  class Term
    # title: of an activity; of parts of one's own, theirs. kind: the activity. bands: how often, by the range of its
    # problems. times: lessons in all. last: Date, nil where it was never done. planned, taken: minutes.
    Row = Struct.new(:title, :kind, :bands, :times, :last, :planned, :taken, keyword_init: true) do
      # Whether a range asks for it.
      def suits?(band) = Rungs::Problem::OPERATIONS.any? { |operation| kind.suits.ranges(operation).include?(band) }
    end

    # @param room [Classroom]
    # @param from [Date]
    # @param to [Date] with it
    def initialize(room, from, to)
      @room = room
      @days = from..to
    end

    # @return [Array<Row>] every activity there is, those never done last
    def rows
      usual = Rungs::Activity::ALL.reject { |kind| kind == Rungs::Activity::OWN }
      own = done.fetch(Rungs::Activity::OWN.id, []).group_by(&:title)
      all = usual.map { |kind| row(kind.title, kind, done.fetch(kind.id, [])) } +
            own.map { |title, parts| row(title, Rungs::Activity::OWN, parts) }
      all.sort_by.with_index { |each, index| [each.times.zero? ? 1 : 0, index] }
    end

    private

    def row(title, kind, parts)
      days = parts.map { |part| part.lesson.held_on }
      Row.new(title: title, kind: kind, bands: bands(parts), times: days.uniq.size, last: days.max,
              planned: parts.sum(&:minutes), taken: parts.sum { |part| seconds(part) } / 60)
    end

    # One that goes on still counts nothing yet.
    def seconds(part) = part.runs.select(&:ended_at).sum { |run| run.ended_at - run.started_at }.round

    # The parts that ran, by activity.
    def done
      @done ||= begin
        there = LessonPart.not_removed.where(lesson: @room.lessons_dataset.unordered.where(held_on: @days))
        there.order(:id).eager(:lesson, :runs).all.select(&:begun?).each do |part|
          part.lesson.read_with(classroom: @room)
        end.group_by(&:kind)
      end
    end

    # The range of a part is that of its first problem.
    def bands(parts)
      parts.filter_map { |part| part.items.item(part.items.first).problem&.band }.tally
    end
  end
end
