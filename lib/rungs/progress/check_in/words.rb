# frozen_string_literal: true

module Rungs
  module Progress
    class CheckIn
      # What is said of a check-in: what it found, and why it asks what it asks.
      module Words
        # @param clear [Boolean] whether to say so
        # @return [String] what was found and the evidence for it: how it is worked out, and what is known
        def summary(clear: clear?)
          there = answers.select { |answer| answer.rung && answer.problem.band == standing.band }
          place = Problem::Band::ALL.fetch(standing.band).title
          knows = " Knows #{knowing.known} of #{knowing.heard} facts heard there." if knowing.known.positive?
          "#{known? ? "Knows the facts, #{place}." : worked_out_by(there, place, clear)}#{knows}"
        end

        private

        def worked_out_by(there, place, clear)
          out = there.reject { |answer| answer.rung == 5 }
          shown = out.select { |answer| level(answer.problem, answer.rung) == standing.rung }
          equations = shown.map { |answer| answer.problem.solved.to_s }
          "#{clear ? 'Works mostly by' : 'Not clear yet; likeliest is'} #{Strategy::Rung.at(standing.rung).doing}, " \
            "#{place}: seen in #{shown.size} of #{out.size} answers there" \
            "#{", #{equations.join('; ')}" if equations.any?}."
        end

        def reason(problem)
          first, second = chances.max_by(2) { |_, chance| chance }.map(&:first)
          return "A first look, #{Problem::Band::ALL.fetch(problem.band).title}." if answers.none?(&:rung)

          shows = [first, second].any? { |standing| levels_of(problem).include?(standing.rung) }
          "#{where(first)} or #{where(second)}? #{problem} lets #{shows ? 'that show' : 'the rungs below show'}."
        end

        def where(standing)
          place = ", #{Problem::Band::ALL.fetch(standing.band).title}" unless band
          Rungs.capital("#{Strategy::Rung.at(standing.rung).doing}#{place}")
        end
      end
    end
  end
end
