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

      # The last problem there solved right, alone where there is one, at the rung mostly used where there is one.
      def example
        @example ||= begin
          right = @evidence.heard_of(@child, *place).select { |each| each.record.on_ladder? && each.record.right }
          there = right.select { |each| each.record.alone? }
          there = right if there.empty?
          there.reverse.find { |each| named.include?(each.record.rung) } || there.last
        end
      end

      # The rungs that may be named.
      def named = estimate.knows? ? [Rungs::Progress::Estimate::KNOWN] : estimate.named

      def draft
        operation, band = place
        Rungs::Progress::NoteDraft.draft(name: @child.name, rungs: named, operation: operation, band: band,
                                         known: [estimate.knowing.known, estimate.knowing.heard],
                                         faint: faint, example: worked_example)
      end

      # A picture of the example, worked to its end.
      # @return [Rungs::Picture::Layout, nil]
      def picture
        path && Rungs::Picture::Staging.acted(path, problem, thing: "counter", **@child.classroom.pictured).last
      end

      private

      def problem = example&.problem

      # "was heard twice, the last on 26 October: counting on", where no more may be said.
      def faint
        return unless estimate.heard.any? && (estimate.faint? || named.empty?)

        estimate.words.heard_so_far(->(day) { I18n.l(day, format: :plain) })
      end

      def worked_example
        return unless problem

        Rungs::Progress::NoteDraft::Example.new(solved: problem.solved.to_s, way: path&.says, said: taken_down,
                                                helped: !example.record.alone?)
      end

      # The numbers that were heard, where somebody took them down.
      def taken_down = example.numbers.join(", ")[/.+/]

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

    def self.store(child, parts)
      row = { parts: Sequel.pg_jsonb(parts), changed_at: Time.now }
      of = { classroom_id: child.classroom_id, child_id: child.id }
      dataset.insert_conflict(target: of.keys, update: row).insert(**of, **row)
    end
  end
end
