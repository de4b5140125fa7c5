# frozen_string_literal: true

module Rungs
  module Strategy
    module Moves
      # The words of a child who counts or reasons aloud, and what is written beside them.
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

        # How it is written when it is solved: as it was asked, but what is taken away to find a whole is put back.
        def written(problem) = problem.put_back? ? sum(*problem.addends) : problem.solved.to_s

        # "9 + 5 = 14"
        def sum(*addends) = "#{addends.join(' + ')} = #{addends.sum}"

        # "14 − 4 − 1 = 9"
        def difference(whole, *taken) = "#{[whole, *taken].join(' − ')} = #{whole - taken.sum}"

        # "9 + 5", in the order of the problem.
        def asked(problem) = problem.addends.join(" + ")
      end
    end
  end
end
