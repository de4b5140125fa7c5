# frozen_string_literal: true

module Pages
  module Listen
    # The last records of a lesson, who was heard on the problem and by whom, as far as who looks may see it.
    module Log
      def log
        by_id = room.children.to_h { |child| [child.id, child] }
        @log ||= room.last_records(posed.lesson, **seen_here)
        @log.each { |row| row.read_with(child: by_id[row.child_id]) if by_id.key?(row.child_id) }
      end

      # What another problem than the one at hand asked.
      # @return [String, nil]
      def other_problem(row)
        posed.lesson.problems.find { |each| each.id == row.problem_id }&.equation unless row.problem_id == posed.id
      end

      # Who was heard on this problem, and by whom.
      # @return [Hash{Integer => Integer, nil}]
      def heard_here = @heard_here ||= Records::Observation.heard_on(posed, **seen_here)

      # In a visit two listen blind to each other: a coach sees own records, others none of a coach's.
      def seen_here
        return {} if substitute?

        may?(:visit) ? { account_id: person.id } : { visit_id: nil }
      end

      # What another heard of the same answers, by the key of the record that counts.
      def heard_by_two = @heard_by_two ||= together? ? Records::HeardByTwo.words(room, log) : {}

      # @return [String, nil] the first letter of who heard a child here, where that was somebody else
      def heard_by(child_id)
        by = heard_here[child_id]
        names[by].to_s[0] if by && together? && by != person.id
      end

      def names = @names ||= Records::Account.where(id: heard_here.values.compact.uniq).select_hash(:id, :name)
    end
  end
end
