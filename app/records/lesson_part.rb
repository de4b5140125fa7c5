# frozen_string_literal: true

module Records
  # One part of a lesson: an activity, how long it should take, what its items are made from, and when it ran.
  class LessonPart < Sequel::Model(:lesson_parts)
    many_to_one :lesson, class: "Records::Lesson"
    one_to_many :problems, class: "Records::PosedProblem", key: :part_id, order: %i[posed_at id]
    one_to_many :runs, class: "Records::PartRun", key: :part_id, order: :id

    dataset_module do
      # Those that were not taken out.
      def not_removed = where(removed_at: nil)
    end

    # @return [Class] a Rungs::Activity::Kind
    def activity = Rungs::Activity::ALL.fetch(kind)

    # Whether it goes on beside another part, and takes no minutes of its own: the check of a week.
    def alongside? = details.purpose == "check"
    def title = alongside? ? "The check" : items.kind.title

    def items = @items ||= ItemSet.new(self)

    # @return [String, nil] what the teacher wrote to it, and for whom it is
    def note
      names = lesson.classroom.children.select { |child| details.children.include?(child.id) }.map(&:name)
      told = [details.note, ("for #{names.join(', ')}" if names.any?)].compact
      told.join(", ") if told.any?
    end

    def begun? = !runs.empty?
    def running? = runs.last&.ended_at.nil? && begun?

    # Still to do: never begun, or cut short when the lesson stopped.
    def left? = !skipped && (!begun? || runs.last.stopped)

    # @return [Integer] seconds it has run in all; none less than none, where another server’s clock is ahead
    def seconds(now = Time.now) = runs.sum { |run| (run.ended_at || now) - run.started_at }.round.clamp(0..)

    # @return [Details]
    def details
      there = self[:details]
      @details = Details.read(there) unless @details && @kept.equal?(there)
      @kept = there
      @details
    end

    # What its teacher wrote, with its items made anew.
    # @param written [Rungs::Own::Part]
    def write(written)
      update(minutes: written.minutes, details: details.with(**Details.own(written)).to_jsonb)
      forget_items
    end

    # They are made again.
    def forget_items = @items = nil

    # @param changes [Hash{Symbol => Object}] as Details#with takes them
    def merge_details(**changes)
      db.transaction do
        lock!
        update(details: details.with(**changes).to_jsonb)
      end
    end
  end
end
