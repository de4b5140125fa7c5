# frozen_string_literal: true

module Rungs
  module Strategy
    module Moves
      PART_WHOLE = [
        { id: "double", title: "uses the double", for_a: :either, draws: :dots,
          applies: ->(problem) { problem.first == problem.second && problem.first >= 2 }, recalls: 1,
          goes: lambda { |problem|
            p, w = problem.first, problem.whole
            sum = "#{p} + #{p} = #{w}"
            if problem.add?
              { landings: [p, w], equations: [sum], says: "#{Say.open(p)} and #{Say.word(p)} is #{Say.word(w)}." }
            else
              { landings: [w, p], equations: [sum, "#{w} − #{p} = #{p}"], says: "#{Say.open(w)} is #{Say.word(p)} and #{Say.word(p)}, so #{Say.word(p)}." }
            end
          } },
        { id: "near_double", title: "uses the double beside it", for_a: :whole, draws: :rack,
          applies: ->(problem) { problem.larger - problem.smaller == 1 && problem.smaller >= 2 }, counts: 1, recalls: 1,
          goes: lambda { |problem|
            p, w = problem.smaller, problem.whole
            { landings: [p, p + p, w], equations: ["#{p} + #{p} = #{p + p}", "#{p + p} + 1 = #{w}"],
              says: "#{Say.open(p)} and #{Say.word(p)} is #{Say.word(p + p)}, and one more is #{Say.word(w)}." }
          } },
        { id: "five_and", title: "five and five, then the rest", for_a: :whole, draws: :rack,
          applies: ->(problem) { problem.smaller >= 5 && problem.larger > 5 && problem.whole <= 18 },
          recalls: 2, splits: ->(problem) { problem.parts.count { |part| part > 5 } },
          goes: lambda { |problem|
            a, b = problem.parts.map { |part| part - 5 }
            over = [a, b].count(&:positive?)
            rest = over == 1 ? "the #{Say.word(a + b)} from the #{Say.word(problem.larger)}" : "#{Say.word(a)} and #{Say.word(b)} is #{Say.word(a + b)}"
            { landings: [5, 10, problem.whole],
              equations: ["5 + 5 = 10", (over == 1 ? nil : "#{a} + #{b} = #{a + b}"), "10 + #{a + b} = #{problem.whole}"].compact,
              says: "Five and five is ten, and #{rest}: #{Say.word(problem.whole)}." }
          } },
        { id: "share_even", title: "gives one across to make a double", for_a: :whole, draws: :towers,
          applies: ->(problem) { problem.larger - problem.smaller == 2 && problem.smaller >= 2 }, recalls: 1, splits: 1,
          goes: lambda { |problem|
            between, w = problem.smaller + 1, problem.whole
            { landings: [between, w], equations: ["#{problem.first} + #{problem.second} = #{between} + #{between}", "#{between} + #{between} = #{w}"],
              says: "One across makes #{Say.word(between)} and #{Say.word(between)}. That is #{Say.word(w)}." }
          } },
        { id: "place_value", title: "tens and ones", for_a: :whole, draws: :bundles,
          applies: ->(problem) { problem.larger >= 11 && problem.parts.sum { |part| part % 10 } <= 10 },
          recalls: 2, splits: ->(problem) { problem.parts.count { |part| part >= 11 } },
          goes: lambda { |problem|
            tens = problem.parts.sum { |part| part - (part % 10) }
            ones = problem.whole - tens
            split = problem.parts.map { |part| part - (part % 10) }.reject(&:zero?)
            unit = problem.parts.map { |part| part % 10 }
            { landings: [tens, problem.whole].uniq,
              equations: [(split.size == 2 ? "#{split[0]} + #{split[1]} = #{tens}" : nil), "#{unit[0]} + #{unit[1]} = #{ones}", "#{tens} + #{ones} = #{problem.whole}"].compact,
              says: "The tens make #{Say.word(tens)}, #{Say.word(unit[0])} and #{Say.word(unit[1])} is #{Say.word(ones)}: #{Say.word(problem.whole)}." }
          } },
        { id: "family", title: "uses the matching addition", for_a: :part, draws: :parts,
          applies: ->(problem) { problem.first.positive? && problem.second.positive? }, recalls: 1,
          goes: lambda { |problem|
            w, p, q = problem.whole, problem.given, problem.sought
            { landings: [p, w], answer: q, equations: ["#{p} + #{q} = #{w}", "#{w} − #{p} = #{q}"],
              says: "#{Say.open(p)} and #{Say.word(q)} is #{Say.word(w)}, so it is #{Say.word(q)}." }
          } },
        { id: "tens_fact", title: "the fact in ones, said in tens", for_a: :either, draws: :bundles,
          applies: ->(problem) { problem.band == "tens" }, recalls: 1,
          goes: lambda { |problem|
            start, by, reach = problem.add? ? [problem.first, problem.second, problem.whole] : [problem.whole, problem.given, problem.sought]
            sign, verb = problem.add? ? ["+", "and"] : ["−", "take away"]
            { landings: [start, reach], equations: ["#{start / 10} #{sign} #{by / 10} = #{reach / 10}", "#{start} #{sign} #{by} = #{reach}"],
              says: "#{Say.open(start / 10)} #{verb} #{Say.word(by / 10)} is #{Say.word(reach / 10)}, so it is #{Say.word(reach)}." }
          } }
      ].each { |entry| entry[:rung] = "part_whole" }.freeze
    end
  end
end
