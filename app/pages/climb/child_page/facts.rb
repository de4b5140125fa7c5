# frozen_string_literal: true

module Pages
  module Climb
    class ChildPage
      # The facts of its range, one by one: known, soon, not yet; and as a square.
      module Facts
        # Every fact of this operation, by its latest answer alone.
        def facts
          @facts ||= Rungs::Progress::FactMap.new(evidence.records_of(child, operation), operation: operation, on: @on)
        end

        # "2 and 3, 4 and 5"; "9 − 4"
        def facts_in(state)
          there = facts.by_state.fetch(state, []).map { |fact| written(fact) }
          there.empty? ? "none" : there.join(", ")
        end

        # Facts to come at once soon.
        def soon = facts.soon.map { |fact| written(fact) }.join(", ")

        # The facts of this range that tell, as a square; doubles stand in it as numbers alone.
        def square
          drawing = Drawings::Square.new(numbers) { |p, q| square_cell(p, q) }
          label = "#{child.name}, #{operation_title(operation).downcase}, fact by fact; the list below says the same"
          drawing.draw(label: label, corner: operation == "add" ? "+" : "−")
        end

        # Whether the range has few enough facts for a square.
        def square? = !Records::Scope.family?(scope) && numbers.size <= MOST_NUMBERS

        MOST_NUMBERS = 20

        # The parts that its facts have.
        def numbers = @numbers ||= band.telling_facts.flatten.uniq.sort

        private

        def square_cell(p, q)
          return unless p + q <= band.largest && Rungs::Problem::Band.of([p, q]) == scope
          return Drawings::Square::Cell.new(bare: true) unless band.tells?([p, q])

          rung, state = facts.rung(p, q), facts.state(p, q)
          href = behind(operation: operation, fact: [p, q].sort.join(".")) if state
          Drawings::Square::Cell.new(tint: rung, mark: (state if state == "wrong"), href: href,
                                     label: "#{solved(p, q)}: #{state || 'not heard'}")
        end

        def solved(p, q) = operation == "add" ? "#{p} + #{q} = #{p + q}" : "#{p + q} − #{p} = #{q}"
        def written(fact) = operation == "add" ? fact.join(" + ") : fact.join(" − ")
      end
    end
  end
end
