# frozen_string_literal: true

module Records
  class LookBack
    # Whose answer in one lesson was hardly to be expected from what was heard before it (guide 10): the answers of the
    # day one after the other, each on top of what stood until then.
    class Surprises
      Knowing = Rungs::Progress::Knowing
      private_constant :Knowing

      # @param evidence [Evidence]
      # @param day [Date]
      def initialize(evidence, day)
        @evidence = evidence
        @day = day
      end

      # @return [Array<Surprise>]
      def of(child)
        heard.fetch(child.id, []).group_by { |each| [each.operation, each.band] }.flat_map do |place, there|
          running = @evidence.running_before(child, *place, @day)
          there.filter_map do |each|
            fact = facts[key(each)]
            found = Rungs::Progress::Forecast.surprise(running.estimate(on: @day), each.record, fact)
            running = running.hear(each.record, fact)
            facts[key(each)] = Knowing.after(fact, each.record) if each.record.about_fact?
            surprise(child, each, found) if found
          end
        end
      end

      private

      def heard = @heard ||= @evidence.late(@day...@day + 1).group_by(&:child_id)
      def key(each) = [each.child_id, each.operation, each.record.exact]

      def surprise(child, each, found)
        Surprise.new(child: child, problem: each.problem, rung: found.rung, expected: found.expected, up: found.up?)
      end

      # How the facts of the day stood before it, by child and operation; of what is no fact, nothing.
      def facts
        @facts ||= begin
          asked = heard.values.flatten.select { |each| each.record.exact }
          before = @evidence.before(@day, heard.keys, asked.map { |each| each.record.fact }.uniq)
          before.select { |each| each.record.about_fact? }.each_with_object({}) do |each, facts|
            facts[key(each)] = Knowing.after(facts[key(each)], each.record)
          end
        end
      end
    end
  end
end
