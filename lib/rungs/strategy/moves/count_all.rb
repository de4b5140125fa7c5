# frozen_string_literal: true

module Rungs
  module Strategy
    module Moves
      COUNT_ALL = [
        { id: "all_objects", title: "makes both sets and counts everything", for_a: :whole, draws: :objects,
          applies: ->(_) { true }, counts: ->(problem) { problem.whole * 2 },
          goes: lambda { |problem|
            w = problem.whole
            { landings: (w.zero? ? [0] : [*1..w]), equations: [problem.solved.to_s],
              says: w.zero? ? "There is nothing to count. Zero." : "#{Say.list([*1..w]).sub(/\A./, &:upcase)}." }
          } },
        { id: "all_remove", title: "counts out, takes away, counts what is left", for_a: :part, draws: :objects,
          applies: ->(_) { true }, counts: ->(problem) { problem.whole + problem.given + problem.sought },
          goes: lambda { |problem|
            w, p, q = problem.whole, problem.given, problem.sought
            { landings: w.downto(q).to_a, equations: ["#{w} − #{p} = #{q}"],
              says: "I put out #{Say.word(w)} and took away #{Say.word(p)}. I counted what was left: #{Say.word(q)}." }
          } },
        { id: "all_build_up", title: "puts out the part, adds until it is all there, counts the added", for_a: :part, draws: :objects,
          applies: lambda(&:missing_part?), counts: ->(problem) { problem.given + problem.sought + problem.sought },
          goes: lambda { |problem|
            w, p, q = problem.whole, problem.given, problem.sought
            { landings: [*p..w], answer: q, equations: ["#{p} + #{q} = #{w}"],
              says: "I put out #{Say.word(p)} and more until it was #{Say.word(w)}. I counted the new ones: #{Say.word(q)}." }
          } },
        { id: "all_match", title: "lines up two rows and counts the extra", for_a: :part, draws: :objects,
          applies: lambda(&:compare?), counts: ->(problem) { problem.whole + problem.given + problem.sought },
          goes: lambda { |problem|
            w, p, q = problem.whole, problem.given, problem.sought
            { landings: [*p..w], answer: q, equations: ["#{w} − #{p} = #{q}"],
              says: "I made two rows and counted the ones with no partner: #{Say.word(q)}." }
          } }
      ].each { |entry| entry[:rung] = "count_all" }.freeze
    end
  end
end
