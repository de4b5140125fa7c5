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
          there = @evidence.heard_of(@child, *place).select { |each| solved_alone?(each.record) }
          there.reverse.find { |each| estimate.told.include?(each.record.rung) } || there.last
        end
      end

      def draft
        operation, band = place
        example = { solved: problem&.solved&.to_s, said: path&.says }
        Rungs::Progress::NoteDraft.draft(name: @child.name, rungs: estimate.told, operation: operation, band: band,
                                         **example)
      end

      # A picture of the example, worked to its end.
      # @return [Rungs::Picture::Layout, nil]
      def picture
        path && Rungs::Picture::Staging.acted(path, problem, thing: "counter", **@child.classroom.pictured).last
      end

      private

      def solved_alone?(record) = record.weighed? && record.right && record.alone?
      def problem = example&.problem

      # How the example was worked: the move that was noted, else the usual one of that rung.
      def path = problem && Rungs::Strategy::Path.heard(problem, example.record.rung, example.move)
    end

    # @return [Hash{Symbol => String}] by part
    def self.parts_of(child, source)
      kept = first(child_id: child.id)
      kept ? kept.parts.to_h.transform_keys(&:to_sym) : source.draft
    end

    # Lets go what was written, so that it is drafted anew.
    def self.forget(child) = where(child_id: child.id).delete

    def self.keep(child, parts)
      row = { parts: Sequel.pg_jsonb(parts), changed_at: Time.now }
      of = { classroom_id: child.classroom_id, child_id: child.id }
      dataset.insert_conflict(target: of.keys, update: row).insert(**of, **row)
    end
  end
end
