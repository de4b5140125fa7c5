# frozen_string_literal: true

module Rungs
  module Strategy
    module Moves
      # The first of ten, five and two that both parts are multiples of and larger than.
      SKIP_UNIT = lambda do |problem|
        [10, 5, 2].find { |unit| problem.parts.all? { |part| (part % unit).zero? && part > unit } }
      end

      COUNT_ON = [
        { id: "on_first", title: "from the first", for_a: :whole,
          applies: ->(problem) { problem.whole > problem.first }, counts: ->(problem) { problem.whole - problem.first },
          goes: lambda { |problem|
            a, w = problem.first, problem.whole
            { landings: [*a..w], equations: [problem.solved.to_s], says: Say.counting(a, [*(a + 1)..w]) }
          } },
        { id: "on_larger", title: "from the larger", for_a: :whole,
          applies: ->(problem) { problem.first.positive? && problem.first < problem.second }, counts: lambda(&:smaller),
          goes: lambda { |problem|
            q, w = problem.larger, problem.whole
            { landings: [*q..w], equations: ["#{q} + #{w - q} = #{w}"], says: Say.counting(q, [*(q + 1)..w]) }
          } },
        { id: "back_from", title: "back from the whole", for_a: :part,
          applies: ->(problem) { problem.given.positive? }, counts: lambda(&:given),
          goes: lambda { |problem|
            w, q = problem.whole, problem.sought
            { landings: w.downto(q).to_a, equations: ["#{w} − #{w - q} = #{q}"], says: Say.counting(w, (w - 1).downto(q).to_a) }
          } },
        { id: "back_to", title: "back down to the part", for_a: :part,
          applies: ->(problem) { problem.sought.positive? }, counts: lambda(&:sought),
          goes: lambda { |problem|
            w, p = problem.whole, problem.given
            { landings: w.downto(p).to_a, answer: w - p, equations: ["#{w} − #{w - p} = #{p}"],
              says: "#{Say.counting(w, (w - 1).downto(p).to_a)} That is #{Say.steps(w - p)} back." }
          } },
        { id: "up_to", title: "up from the part", for_a: :part,
          applies: ->(problem) { problem.sought.positive? }, counts: lambda(&:sought),
          goes: lambda { |problem|
            w, p = problem.whole, problem.given
            { landings: [*p..w], answer: w - p, equations: ["#{p} + #{w - p} = #{w}"],
              says: "#{Say.counting(p, [*(p + 1)..w])} That is #{Say.word(w - p)}." }
          } },
        { id: "skip", title: "in equal steps", for_a: :whole, usual: false,
          applies: ->(problem) { SKIP_UNIT.call(problem) }, counts: ->(problem) { problem.smaller / SKIP_UNIT.call(problem) },
          goes: lambda { |problem|
            q, w, unit = problem.larger, problem.whole, SKIP_UNIT.call(problem)
            { landings: (q..w).step(unit).to_a, equations: ["#{q} + #{w - q} = #{w}"],
              says: "#{Say.counting(q, (q + unit..w).step(unit).to_a)} I went in #{{ 2 => 'twos', 5 => 'fives', 10 => 'tens' }.fetch(unit)}." }
          } }
      ].each { |entry| entry[:rung] = "count_on" }.freeze
    end
  end
end
