# frozen_string_literal: true

module Records
  # A way that was offered for a problem, or for an item of an activity that has none: in words or as written, with its
  # groups where it was shown on a picture; how often, and by whom where the teacher noted it.
  class Way < Sequel::Model(:ways)
    # The same way again only gets a tally.
    # @param place [Hash] classroom_id, and problem_id; or part_id and item
    # @param text [String]
    # @param groups [Array<Array<Integer>>]
    # @param move [String, nil]
    def self.keep(place, text, groups: [], move: nil, initials: "")
      again = { tally: Sequel[:ways][:tally] + 1,
                initials: Sequel.function(:btrim, Sequel.join([Sequel[:ways][:initials], initials], " ")) }
      dataset.insert_conflict(target: [*place.keys - [:classroom_id], :text], update: again)
             .insert(**place, text: text, groups: Sequel.pg_jsonb(groups), move: move, initials: initials)
    end
  end
end
