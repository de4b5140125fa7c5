# frozen_string_literal: true

module Records
  # The range a class works in, and whether it may widen: an offer that is taken or left, and remembered.
  class Widening
    ORDER = Rungs::Planning::Widening::ORDER

    # @param room [Classroom]
    # @param operation ["add", "subtract"]
    # @param band [String] where it works
    def initialize(room, operation, band)
      @room = room
      @operation = operation
      @band = band
    end

    # @return [Rungs::Planning::Widening::Offer, nil] nil where it is too early, or it was left
    def offer(today)
      offer = Rungs::Planning::Widening.offer(ClassStanding.new(@room, today + 1).standing(@operation), @band)
      offer unless offer.nil? || @room.settings["stay"] == offer.following
    end

    # Weeks are proposed in the next range from now on; or that is not offered again.
    def open(offer) = @room.merge_settings("range" => offer.following)
    def stay(offer) = @room.merge_settings("stay" => offer.following)
  end
end
