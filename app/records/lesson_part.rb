# frozen_string_literal: true

module Records
  # One part of a lesson: what it is, how long it should take, what is made ready for it, and when it ran.
  class LessonPart < Sequel::Model(:lesson_parts)
    many_to_one :lesson, class: "Records::Lesson"
    one_to_many :problems, class: "Records::PosedProblem", key: :part_id, order: %i[posed_at id]
    one_to_many :runs, class: "Records::PartRun", key: :part_id, order: :id

    # @param kind [String] an id of Rungs::Planning::Part::ALL or Rungs::Activity::ALL
    # @return [#title, #minutes]
    def self.entry(kind) = Rungs::Planning::Part::ALL[kind] || Rungs::Activity::ALL.fetch(kind)

    def entry = LessonPart.entry(kind)

    # @return [ItemSet, nil] where it is an activity
    def items = @items ||= (ItemSet.new(self) if Rungs::Activity::ALL.key?(kind))
    def title = entry.title
    def begun? = !runs.empty?
    def running? = runs.last&.ended_at.nil? && begun?

    # Still to do: never begun, or cut short when the lesson stopped.
    def left? = !skipped && (!begun? || runs.last.stopped)

    # @return [Integer] seconds it has run in all
    def seconds(now = Time.now) = runs.sum { |run| (run.ended_at || now) - run.started_at }.round

    # Story problems made ready, as pose takes them.
    def ready = details["problems"].to_a
    def equations = details["equations"].to_a

    # @return [PosedProblem, nil] the one on the board if it is of this part, else its last
    def at_hand = problems_dataset.first(id: lesson.refresh.on_board&.id) || problems_dataset.last

    # Keeps one more story, or a set of them, for when the part begins.
    # @param problems [Array<Hash>] situation, numbers, story, template, number_set
    def make_ready(problems) = update(details: Sequel.pg_jsonb(details.to_h.merge("problems" => ready + problems)))

    # What is left of it, for another day: what was posed is posed again.
    def remainder
      return details if kind != "story" || problems.empty?

      details.to_h.merge("problems" => problems.select(&:situation).map do |posed|
        { "situation" => posed.situation, "numbers" => posed.problem.told, "story" => posed.story,
          "template" => posed.template, "number_set" => posed.number_set }
      end)
    end
  end
end
