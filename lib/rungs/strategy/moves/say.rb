# frozen_string_literal: true

module Rungs
  module Strategy
    module Moves
      # The words of a child who counts or reasons aloud.
      module Say
        module_function

        def word(number) = NumberWords.say(number)
        def open(number) = NumberWords.open(number)

        # "Nine … ten, eleven, twelve": a number held in the head, then the counting words.
        def counting(start, words)
          words.empty? ? "#{open(start)}." : "#{open(start)} … #{list(words)}."
        end

        # "one, two, three … fourteen", short enough to read at a glance.
        def list(numbers)
          return numbers.map { |number| word(number) }.join(", ") if numbers.size <= 6

          "#{numbers.first(3).map { |number| word(number) }.join(', ')} … #{word(numbers.last)}"
        end

        def steps(count) = count == 1 ? "one step" : "#{word(count)} steps"
      end
    end
  end
end
