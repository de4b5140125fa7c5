# frozen_string_literal: true

module Rungs
  module Strategy
    module Moves
      BRIDGES = ->(problem) { problem.band == "bridge" }

      MAKE_TEN = [
        { id: "up_through_ten", title: "up through ten", for_a: :whole, draws: :frame,
          applies: BRIDGES, recalls: 2, splits: 1,
          goes: lambda { |problem|
            p, q, w = problem.smaller, problem.larger, problem.whole
            { landings: [q, 10, w],
              equations: ["#{problem.first} + #{problem.second} = #{q} + #{10 - q} + #{w - 10}", "#{q} + #{10 - q} = 10", "10 + #{p - (10 - q)} = #{w}"],
              says: "#{Say.open(q)} and #{Say.word(10 - q)} is ten, and #{Say.word(w - 10)} more is #{Say.word(w)}." }
          } },
        { id: "give_to_ten", title: "gives to make a ten", for_a: :whole, draws: :frame,
          applies: BRIDGES, recalls: 2, splits: 1,
          goes: lambda { |problem|
            q, w = problem.larger, problem.whole
            { landings: [10, w], equations: ["#{problem.first} + #{problem.second} = 10 + #{w - 10}", "10 + #{w - 10} = #{w}"],
              says: "I give #{Say.word(10 - q)} to the #{Say.word(q)}. Ten and #{Say.word(w - 10)} is #{Say.word(w)}." }
          } },
        { id: "back_through_ten", title: "back through ten", for_a: :part,
          applies: BRIDGES, recalls: 2, splits: 1,
          goes: lambda { |problem|
            w, p, q = problem.whole, problem.given, problem.sought
            { landings: [w, 10, q], equations: ["#{w} − #{p} = #{w} − #{w - 10} − #{10 - q}", "#{w} − #{w - 10} = 10", "10 − #{10 - q} = #{q}"],
              says: "#{Say.open(w)} back #{Say.word(w - 10)} is ten, and #{Say.word(10 - q)} more back is #{Say.word(q)}." }
          } },
        { id: "ten_minus", title: "takes from the ten", for_a: :part, draws: :frame,
          applies: BRIDGES, recalls: 2, splits: 1,
          goes: lambda { |problem|
            w, p, q = problem.whole, problem.given, problem.sought
            { landings: [10, 10 - p, q], equations: ["#{w} = 10 + #{w - 10}", "10 − #{p} = #{10 - p}", "#{10 - p} + #{w - 10} = #{q}"],
              says: "Ten take away #{Say.word(p)} is #{Say.word(10 - p)}, and the #{Say.word(w - 10)} makes #{Say.word(q)}." }
          } },
        { id: "up_through_ten_to", title: "up through ten to the whole", for_a: :part,
          applies: BRIDGES, recalls: 2, splits: 1,
          goes: lambda { |problem|
            w, p, q = problem.whole, problem.given, problem.sought
            { landings: [p, 10, w], answer: (10 - p) + (w - 10), equations: ["#{p} + #{10 - p} = 10", "10 + #{w - 10} = #{w}", "#{10 - p} + #{w - 10} = #{q}"],
              says: "#{Say.open(p)} and #{Say.word(10 - p)} is ten, and #{Say.word(w - 10)} more is #{Say.word(w)}. That is #{Say.word(q)}." }
          } },
        { id: "ten_partner", title: "sees the empty places of ten", for_a: :either, draws: :frame,
          applies: ->(problem) { problem.whole == 10 && problem.parts.all?(&:positive?) }, recalls: 1,
          goes: lambda { |problem|
            p, q = problem.add? ? problem.parts : [problem.given, problem.sought]
            sum = "#{p} + #{q} = 10"
            { landings: problem.add? ? [p, 10] : [10, q], equations: problem.add? ? [sum] : [sum, "10 − #{p} = #{q}"],
              says: "#{Say.open(p)} and #{Say.word(q)} fill the ten#{", so #{Say.word(q)}" unless problem.add?}." }
          } }
      ].each { |entry| entry[:rung] = "make_ten" }.freeze
    end
  end
end
