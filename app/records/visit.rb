# frozen_string_literal: true

module Records
  # A coach's visit to a class: what is agreed before it, what both heard in it, and the one next step after it.
  class Visit < Sequel::Model(:visits)
    many_to_one :classroom, class: "Records::Classroom"
    many_to_one :account, class: "Records::Account"

    # What is written to it.
    WORDS = %i[aim question next_step].freeze

    # What both heard: the child, the problem, and both records, the teacher's first.
    Both = Struct.new(:child, :problem, :teachers, :coachs, keyword_init: true) do
      def pair
        item = "#{child.name}, #{problem.equation}"
        Rungs::Clip::Agreement::Pair.new(item: item, a: teachers.code, b: coachs.code)
      end
    end

    dataset_module do
      def latest_first = reverse(:day, :id)
    end

    # @return [Visit, nil] the one that has begun and not ended
    def self.going_on(room, account_id)
      exclude(begun_at: nil).first(classroom_id: room.id, account_id: account_id, ended_at: nil)
    end

    # Hours after which a visit that nobody ended blinds nobody any more.
    BLIND = 12

    # @return [Visit, nil] anybody's that goes on in a class
    def self.in_class(room, now = Time.now)
      where(classroom_id: room.id, ended_at: nil).where { begun_at > now - (BLIND * 3600) }.first
    end

    def begin_now = update(begun_at: Time.now)
    def end_now = update(ended_at: Time.now)
    def going_on? = !begun_at.nil? && ended_at.nil?

    # @return [Array<Child>] whom to hear
    def whom = classroom.children.select { |child| children.to_a.include?(child.id) }

    # @return [Visit, nil] the one before, whose next step is looked at again
    def before
      others = Visit.where(classroom_id: classroom_id, account_id: account_id).exclude(id: id).exclude(next_step: "")
      others.where(Sequel[:day] <= day).latest_first.first
    end

    # By one of the two; the next step stands once both have agreed.
    def agree(account_id) = update(agreed: Sequel.pg_jsonb(agreed.to_a | [account_id]))
    def agreed? = agreed.to_a.size > 1

    # @return [Array<Both>] what the coach and somebody else took down of the same answers
    def both
      heard = Observation.newest.where(classroom_id: classroom_id, visit_id: id)
      heard.eager(:child, :posed_problem).in_order.all.filter_map do |own|
        other = own.beside ? newest(first_key: own.beside) : newest(beside: own.first_key)
        Both.new(child: own.child, problem: own.posed_problem, teachers: other, coachs: own) if other
      end
    end

    # @return [Rungs::Clip::Agreement]
    def agreement = @agreement ||= Rungs::Clip::Agreement.new(both.map(&:pair))

    private

    def newest(**of) = Observation.newest.first(classroom_id: classroom_id, **of)
  end
end
