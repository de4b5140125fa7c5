# frozen_string_literal: true

module Records
  # The range a class works in, and whether it may widen: an offer that is taken or left, and remembered.
  class Widening
    ORDER = Rungs::Planning::Widening::ORDER
    FIRST = { band: "to10", operation: "add" }.freeze

    # What a class works with now: the range of its last problem, or a wider one that was opened since.
    # @return [Hash{Symbol => String}] band and operation
    def self.at_work(room)
      last = FIRST.merge(room.at_work)
      opened = room.settings["range"]
      wider = opened && ORDER.index(opened) > ORDER.index(last[:band])
      wider ? last.merge(band: opened) : last
    end

    # @param room [Classroom]
    # @param evidence [Evidence]
    def initialize(room, evidence)
      @room = room
      @evidence = evidence
    end

    # @return [Rungs::Planning::Widening::Offer, nil] nil where it is too early, or it was left
    def offer(today)
      band = Widening.at_work(@room)[:band]
      records = @evidence.in_range(band)
      heard = @room.children.to_h { |child| [child.name, records.fetch(child.id, [])] }
      offer = Rungs::Planning::Widening.offer(band: band, children: heard, on: today)
      offer unless offer.nil? || @room.settings["stay"] == offer.following
    end

    # Weeks are proposed in the next range from now on; or that is not offered again.
    def open(offer) = @room.keep_settings("range" => offer.following)
    def stay(offer) = @room.keep_settings("stay" => offer.following)
  end
end
