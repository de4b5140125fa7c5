# frozen_string_literal: true

module Records
  # One version of one observation: who, which problem, rung or off-ladder code. Never changed: a correction or an undo
  # is a new version that replaces the one before. first_key, the key its client gave it, stays the same through all.
  class Observation < Sequel::Model(:observations)
    many_to_one :child, class: "Records::Child"
    many_to_one :posed_problem, class: "Records::PosedProblem", key: :problem_id

    dataset_module do
      # The versions that stand: not replaced, not undone, and not beside another that counts.
      def standing = newest.where(Sequel[:observations][:beside] => nil)

      # What somebody heard too: of one answer that two people took down, the one that does not count.
      def counterparts_of(first_keys) = newest.where(beside: first_keys)

      # The last version of each that was not undone.
      def newest
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

    ADDED = %i[replaces_id classroom_id child_id problem_id account_id substitute first_key client_key happened_at code
               rung move answer right used help undone heard seconds slip beside visit_id recorded_at carried].freeze
    # By whom what is heard in a lesson is listened for.
    CHANNEL = :rungs_heard
    # Two answers of one child to one problem so near each other are one answer heard twice.
    TWICE = 600
    # Adding one, counting it, telling who listens in that lesson, and what else was heard of it just now: one
    # statement, planned once for each connection. The tally's row is held until the transaction ends, so that the
    # records of one child come one after the other. Reading many is planned each time: their tables grow.
    ADD = DB[<<~SQL, *ADDED.map { |column| :"$#{column}" }, :$lesson_id].prepare(:select, :add_observation)
      WITH added AS (
        INSERT INTO observations (#{ADDED.map { |column| %("#{column}") }.join(', ')})
        VALUES (#{(['?'] * ADDED.size).join(', ')}) ON CONFLICT (classroom_id, client_key) DO NOTHING RETURNING *
      ), counted AS (
        INSERT INTO tallies (classroom_id, child_id, records, last_at)
        SELECT classroom_id, child_id, 1, happened_at FROM added WHERE replaces_id IS NULL
        ON CONFLICT (classroom_id, child_id) DO UPDATE
        SET records = tallies.records + 1, last_at = greatest(tallies.last_at, excluded.last_at)
      ), told AS (
        SELECT pg_notify('#{CHANNEL}', json_build_object('lesson', lesson.id, 'problem', problem_id, 'child', child_id,
                                                         'key', first_key, 'made', client_key)::text)
        FROM added JOIN lessons AS lesson ON lesson.id = ?
      )
      SELECT added.*, (SELECT count(*) FROM told) AS told, (
        SELECT json_build_array(other.first_key, other.code, other.account_id) FROM observations AS other
        WHERE other.classroom_id = added.classroom_id AND other.child_id = added.child_id
          AND other.problem_id = added.problem_id AND other.first_key <> added.first_key AND NOT other.undone
          AND other.beside IS NULL
          AND other.happened_at BETWEEN added.happened_at - interval '#{TWICE} s'
                                    AND added.happened_at + interval '#{TWICE} s'
          AND NOT EXISTS (SELECT FROM observations AS later WHERE later.replaces_id = other.id)
        ORDER BY other.account_id IS DISTINCT FROM added.account_id DESC, other.happened_at DESC LIMIT 1
      ) AS twice, (SELECT ear -> 'counts' FROM accounts WHERE accounts.id = added.account_id) AS ear FROM added
    SQL
    # As many last ones of a lesson as a page holds: a few more than are seen, for when one is undone.
    LAST = 12

    # @param lesson [Lesson]
    # @return [Array<Observation>] the last of that lesson, whatever their problem
    def self.last_of(lesson, **of)
      asked = PosedProblem.of_lesson(lesson.id).select(:id)
      rows = of.key?(:account_id) ? newest : standing
      rows.where(classroom_id: lesson.classroom_id, problem_id: asked, **of).latest_first.limit(LAST).all
    end

    # @param posed [PosedProblem]
    # @param of [Hash] whose, where not everybody's
    # @return [Hash{Integer => Integer, nil}] the children who were heard on it, and by which account last
    def self.heard_on(posed, **of)
      rows = newest.where(classroom_id: posed.classroom_id, problem_id: posed.id, **of)
      rows.order(:happened_at).select_hash(:child_id, :account_id)
    end

    # @param lesson [Lesson]
    # @return [Hash{Array(Integer, Integer, Integer) => Observation}] the last of each child on each item of its parts,
    #   by the ids of child and part, and the item
    def self.by_item(lesson)
      posed = lesson.problems_dataset.exclude(part_id: nil).to_hash(:id)
      heard = standing.where(classroom_id: lesson.classroom_id, problem_id: posed.keys).in_order.all
      heard.to_h { |each| [[each.child_id, *posed[each.problem_id].values.values_at(:part_id, :item)], each] }
    end

    # @return [Array(String, String), nil] key and title of what else was heard last of that child on that problem
    #   within ten minutes, where that was looked for
    def twice
      key, code = values[:twice].to_a
      [key, Observation.title_of(code)] if key
    end

    # Whether that was somebody else.
    def by_another? = !twice.nil? && values[:twice].to_a[2] != account_id

    # Whether another is the same answer heard twice.
    def twice?(other)
      first_key != other.first_key && [child_id, problem_id] == [other.child_id, other.problem_id] &&
        (happened_at - other.happened_at).abs <= TWICE
    end

    # @param code [String] of a rung, or off the ladder
    def self.title_of(code) = (Rungs::Strategy::Rung::ALL[code] || Rungs::Strategy::OffLadder::ALL.fetch(code)).title

    def title = Observation.title_of(code)

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
