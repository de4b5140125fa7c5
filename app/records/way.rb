# frozen_string_literal: true

module Records
  # A way that was offered for a problem, or for an item of an activity that has none: in words or as written, with its
  # groups where it was shown on a picture; how often, and by whom where the teacher noted it.
  class Way < Sequel::Model(:ways)
    # @param client_key [String, nil] a UUID of the tap
    # @yield where that tap was not kept yet
    def self.once(client_key)
      DB.transaction do
        new = client_key.nil? || DB[:way_taps].insert_conflict.returning(:client_key).insert(client_key: client_key)
        yield if new.is_a?(Array) ? new.any? : new
      end
    end

    # The same way again only gets a tally.
    # @param place [Hash] classroom_id, and problem_id; or part_id and item
    # @param text [String]
    # @param groups [Array<Array<Integer>>]
    # @param move [String, nil]
    # @param child [Child, nil] who gave it: its initial stands beside the way
    def self.offer(place, text, groups: [], move: nil, child: nil)
      initials = child ? child.name[0] : ""
      again = { tally: Sequel[:ways][:tally] + 1,
                initials: Sequel.function(:btrim, Sequel.join([Sequel[:ways][:initials], initials], " ")) }
      row = { **place, text: text, groups: Sequel.pg_jsonb(groups), move: move, initials: initials }
      id = dataset.insert_conflict(target: [*place.keys - [:classroom_id], :text], update: again).insert(row)
      DB[:way_givers].insert_conflict.insert(way_id: id, child_id: child.id, given_at: Time.now) if child
    end

    # @return [Array<Way>] the last that a child gave, newest first
    def self.given_by(child, most: 8)
      join(:way_givers, way_id: :id).where(child_id: child.id).order(Sequel.desc(:given_at)).limit(most)
                                    .select_all(:ways).select_append(:given_at).eager(:problem).all
    end

    # Days for which who shared a way waits for others.
    TURN = 14

    # @param room [Classroom]
    # @return [Array<Integer>] the children who gave a way in the days before one
    def self.gave_of_late(room, day)
      days = room.midnight(day - TURN)...room.midnight(day)
      DB[:way_givers].join(:ways, id: :way_id).where(classroom_id: room.id,
                                                     given_at: days).distinct.select_map(:child_id)
    end

    many_to_one :problem, class: "Records::PosedProblem"
  end
end
