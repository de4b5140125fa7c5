# frozen_string_literal: true

module Rungs
  module Activity
    class JumpTrack
      # A number to find on a line that has its tens alone: between which, then by ones.
      module Place
        private

        def place? = option(:missing) == "place"

        # Every number between two tens.
        def places = (1...option(:to)).reject { |number| (number % 10).zero? }

        # From the ten below, or from the ten above where one goes back.
        def found(number)
          ones = back? ? 10 - (number % 10) : number % 10
          { start: back? ? number + ones : number - ones, jumps: ones, landing: number, missing: "place" }
        end

        def placed(data)
          start, jumps, landing = data.values_at(:start, :jumps, :landing)
          sum = "#{start} #{sign} #{jumps} = #{landing}"
          question = "Where is #{landing}? Between which tens, and nearer to which?"
          make(
            ask: question, answer: landing, data: data, equation: nil, shown: tens,
            steps: [
              step("look", tens, "Point to the place. How do you know?", title: "Point"),
              step("check", reach(start, jump_by_jump(start, landing)),
                   "From #{start}, by ones#{' back' if back?}: #{many(jumps, 'jump')}."),
              step("write", parts(back? ? [jumps, landing] : [start, jumps]), read(sum), equation: sum)
            ]
          )
        end

        def tens = Picture::Line.new(to: [option(:to), SHORTEST].max, style: :tens)
      end
    end
  end
end
