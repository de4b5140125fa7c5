# frozen_string_literal: true

module Records
  # One version of one observation: who, which problem, rung or off-ladder code. Never changed: a correction or an undo
  # is a new version that replaces the one before. first_key, the key its client gave it, stays the same through all.
  class Observation < Sequel::Model(:observations)
    many_to_one :child, class: "Records::Child"
    many_to_one :posed_problem, class: "Records::PosedProblem", key: :problem_id

    dataset_module do
      # The versions that stand: not replaced, not undone.
      def standing
        later = Observation.from(Sequel[:observations].as(:later))
                           .where(Sequel[:later][:replaces_id] => Sequel[:observations][:id])
        exclude(undone: true).exclude(later.select(1).exists)
      end

      # With its problem, called posed.
      def with_posed = join(:problems, { classroom_id: :classroom_id, id: :problem_id }, table_alias: :posed)

      # @return [Array<Hash>] of rows with their problem, these columns of both
      def columns_of(own, posed)
        select(*own.map { |column| Sequel[:observations][column] }, *posed.map do |column|
          Sequel[:posed][column]
        end).naked.all
      end

      # Whatever the order of arrival.
      def in_order = order(:happened_at, Sequel[:observations][:first_key])
      def latest_first = order(Sequel.desc(:happened_at), Sequel.desc(Sequel[:observations][:id]))
    end

    # Adding one is planned once for each connection. Reading many is planned each time: their tables grow.
    ADDED = %i[replaces_id classroom_id child_id problem_id account_id substitute first_key client_key happened_at code
               rung move answer right used help undone heard seconds slip].freeze
    ADD = dataset.insert_conflict(target: %i[classroom_id client_key]).returning
                 .prepare(:insert, :add_observation, ADDED.to_h { |column| [column, :"$#{column}"] })
    # As many last ones of a lesson as a page holds: a few more than are seen, for when one is undone.
    LAST = 12

    # @param lesson [Lesson]
    # @return [Array<Observation>] the last of that lesson, whatever their problem
    def self.last_of(lesson, **of)
      asked = PosedProblem.of_lesson(lesson.id).select(:id)
      standing.where(classroom_id: lesson.classroom_id, problem_id: asked, **of).latest_first.limit(LAST).all
    end

    # @param posed [PosedProblem]
    # @return [Array<Integer>] the children who were heard on it
    def self.heard_on(posed)
      standing.where(classroom_id: posed.classroom_id, problem_id: posed.id).distinct.select_map(:child_id)
    end

    # @param lesson [Lesson]
    # @return [Hash{Array(Integer, Integer, Integer) => Observation}] the last of each child on each item of its parts,
    #   by the ids of child and part, and the item
    def self.by_item(lesson)
      posed = lesson.problems_dataset.exclude(part_id: nil).to_hash(:id)
      heard = standing.where(classroom_id: lesson.classroom_id, problem_id: posed.keys).in_order.all
      heard.to_h { |each| [[each.child_id, *posed[each.problem_id].values.values_at(:part_id, :item)], each] }
    end

    def rung_entry = rung && Rungs::Strategy::Rung.at(rung)
    def title = rung_entry ? rung_entry.title : Rungs::Strategy::OffLadder::ALL.fetch(code).title

    # "count on, said 13, prompted, fingers": one line for the log.
    def summary
      [title.downcase, how, answered, (help unless help == "alone"), *things, said, by].compact.join(", ")
    end

    private

    def by = ("heard by a substitute" if substitute)
    def how = move && move != "recall" ? Rungs::Strategy::Move::ALL[move]&.title : nil
    def things = used.to_a.map { |thing| thing == "nothing" ? "used nothing" : thing }
    def said = heard.to_a.size > 1 ? "said #{heard.to_a.join(' ')}" : nil

    def answered
      return if right

      answer ? "said #{answer}" : "wrong"
    end
  end
end
