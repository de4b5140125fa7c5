# frozen_string_literal: true

module Records
  # A check-in with one child, kept as the problems posed to that child and what was heard of them.
  class CheckIn < Sequel::Model(:check_ins)
    plugin :timestamps, create: :started_at
    many_to_one :classroom, class: "Records::Classroom"
    many_to_one :child, class: "Records::Child"
    one_to_many :problems, class: "Records::PosedProblem", order: %i[posed_at id]

    # Begins one.
    def self.open(child, operation:, band:)
      create(classroom_id: child.classroom_id, child_id: child.id, operation: operation, band: band).tap(&:go_on)
    end

    # @return [CheckIn, nil] that child's last one, of the last day
    def self.latest(child)
      where(child_id: child.id).order(Sequel.desc(:id)).first { started_at > Time.now - 86_400 }
    end

    # @return [Integer] how many problems were asked so far
    def asked = problems_dataset.count

    # @return [Rungs::Progress::CheckIn] with all answers so far
    def core
      asked = { problem_id: problems_dataset.select(:id), child_id: child_id }
      codes = Observation.standing.where(asked).as_hash(:problem_id)
      answered = problems_dataset.all.select { |posed| codes.key?(posed.id) }
      start = Rungs::Progress::CheckIn.start(operation: operation, band: band, facts: facts_before)
      answered.reduce(start) do |core, posed|
        core.hear(posed.problem, codes[posed.id].rung, right: codes[posed.id].right)
      end
    end

    # @return [PosedProblem, nil] the one to be answered now
    def current = problems_dataset.exclude(id: Observation.standing.where(child_id: child_id).select(:problem_id)).last

    # Poses the next problem, or ends it when it is clear or long enough.
    def go_on
      choice = core.choose(chance(asked))
      return update(ended_at: Time.now) unless choice

      told = problems_dataset.exclude(template: nil).select_map(:template)
      story = Rungs::Problem::Story.write(choice.problem, random: Random.new(id + asked), except: told,
                                                          book: classroom.book)
      lesson = classroom.start_lesson(classroom.today)
      lesson.pose(choice.problem, story: story.text, template: story.template.id).update(check_in_id: id)
    end

    # Why the current problem was chosen.
    def why = core.choose(chance(asked - 1))&.why

    private

    # What the child knew, and did not, before it: by operation, fact by fact.
    def facts_before
      before = Evidence.new(classroom).all(child).reject { |each| asked_here.include?(each.problem_id) }
      before.group_by(&:operation).transform_values do |heard|
        Rungs::Progress::NextProblems::History.new(heard.map(&:record)).known
      end
    end

    def asked_here = @asked_here ||= problems_dataset.select_map(:id)

    def chance(place) = Random.new((id * 100) + place)
  end
end
