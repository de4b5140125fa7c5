# frozen_string_literal: true

module Records
  # The range a class works in, and whether it may widen: an offer that is taken or left, and remembered.
  class Widening
    ORDER = Rungs::Planning::Widening::ORDER

    # @param room [Classroom]
    # @param evidence [Evidence]
    # @param band [String] where it works
    def initialize(room, evidence, band)
      @room = room
      @evidence = evidence
      @band = band
    end

    # @return [Rungs::Planning::Widening::Offer, nil] nil where it is too early, or it was left
    def offer(today)
      records = @evidence.in_range(@band)
      heard = @room.children.to_h { |child| [child.name, records.fetch(child.id, [])] }
      year = @room.setting("year")
      offer = Rungs::Planning::Widening.offer(band: @band, children: heard, on: today, year: year)
      offer unless offer.nil? || @room.settings["stay"] == offer.following
    end

    # Weeks are proposed in the next range from now on; or that is not offered again.
    def open(offer) = @room.merge_settings("range" => offer.following)
    def stay(offer) = @room.merge_settings("stay" => offer.following)
  end
end
