# frozen_string_literal: true

module Records
  # A note for a child's family as the teacher left it; until then, a draft from the evidence.
  class FamilyNote < Sequel::Model(:notes)
    # What is known of a child for a note.
    class Source
      # @param child [Child]
      # @param evidence [Evidence]
      # @param today [Date]
      def initialize(child, evidence, today)
        @child = child
        @evidence = evidence
        @today = today
      end

      # Where the child was heard most in the last six weeks.
      def place = @place ||= @evidence.busiest(@child, days: 42, on: @today) || %w[add to10]
      def estimate = @estimate ||= @evidence.estimate_of(@child, *place, on: @today)

      # The last problem there solved alone and right, at the rung mostly used where there is one.
      def example
        @example ||= begin
          there = @evidence.heard_of(@child, *place).select { |each| each.record.weighed? && each.record.right && each.record.alone? }
          there.reverse.find { |each| each.record.rung == estimate.told } || there.last
        end
      end

      def draft
        operation, band = place
        problem = example && PosedProblem[example.problem_id].problem
        Rungs::Progress::FamilyNote.draft(name: @child.name, working: estimate.told, operation: operation, band: band, solved: problem&.solved&.to_s, said: problem && path(problem)&.says)
      end

      # How the example was worked: the move that was noted, else the usual one of that rung.
      def path(problem)
        problem.paths.find { |path| path.move.id == example.move } || Rungs::Strategy::Path.usual(problem, example.record.rung)
      end

      # A picture of the example, worked to its end; things struck through as they are counted would look taken away.
      def picture
        problem = example && PosedProblem[example.problem_id].problem
        way = problem && path(problem)
        acted = way && Pages::Board::Pictures.acted(way, problem, "counter")
        problem&.add? && way.move.rung == 1 ? acted.first : acted&.last
      end
    end

    # @return [Hash{Symbol => String}] by part
    def self.parts_of(child, source)
      kept = first(child_id: child.id)
      kept ? kept.parts.to_h.transform_keys(&:to_sym) : source.draft
    end

    def self.keep(child, parts)
      row = { parts: Sequel.pg_jsonb(parts), changed_at: Time.now }
      dataset.insert_conflict(target: %i[classroom_id child_id], update: row).insert(classroom_id: child.classroom_id, child_id: child.id, **row)
    end
  end
end
