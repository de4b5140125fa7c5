# frozen_string_literal: true

module Records
  # One way a problem of a string was worked, how often, and by whom where the teacher noted it.
  class ProblemWay < Sequel::Model(:problem_ways)
    # The same way again only gets a tally.
    # @param posed [PosedProblem]
    # @param text [String] the way in words, or as written
    # @param move [String, nil]
    def self.keep(posed, text, move: nil, initials: "")
      again = { tally: Sequel[:problem_ways][:tally] + 1,
                initials: Sequel.function(:btrim, Sequel.join([Sequel[:problem_ways][:initials], initials], " ")) }
      dataset.insert_conflict(target: %i[problem_id text], update: again)
             .insert(classroom_id: posed.classroom_id, problem_id: posed.id, text: text, move: move, initials: initials)
    end
  end
end
