# frozen_string_literal: true

module Rungs
  module Planning
    class ProposedWeek
      # A slip that several children share is brought out by one part of a day.
      module BringingOut
        # A warm-up with a slip takes so many minutes.
        SLIP_MINUTES = 4

        private

        # The commonest slip that several share and an activity for the aim makes: in the place of practising; else a
        # short warm-up does.
        def bring_out(found, slips)
          aimed = found.key?(:practise) && slips.any? { |slip| brought_out(found, :practise, slip) }
          brought_out(found, :warm_up, slips.first) unless aimed
        end

        # An invented child made it; else what makes it.
        # @return [Part, nil]
        def brought_out(found, role, slip)
          told = role == :practise && !@kinds.include?(Activity::WhoseWay) && @choice.invented(slip, @random)
          return found[role] = marked(told_of(*told, found[role].minutes), slip) if told

          way = role == :practise ? :bringing_out : :warming_up_for
          elsewhere = @kinds - [found[role]&.kind]
          @choice.candidates.public_send(way, slip.id, @random).each do |each|
            next if elsewhere.include?(each.kind)

            made = set(each, role, true) or next
            minutes = role == :practise ? found[role].minutes : SLIP_MINUTES
            return found[role] = marked(place(each, role, minutes, made), slip)
          end
          nil
        end

        def told_of(candidate, items, minutes)
          place(candidate, :practise, minutes,
                { range: @choice.aim.range, options: candidate.options, seed: @seed, items: items, fixed: true,
                  new_thing: nil, things: Novelty.things(candidate.kind, candidate.options) })
        end

        def marked(part, slip) = part.with(slip: slip.id, reason: @choice.reasons.slip(slip))
      end
    end
  end
end
