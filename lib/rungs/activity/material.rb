# frozen_string_literal: true

module Rungs
  module Activity
    # A thing that is needed: how many per "child", "pair", "group" or "class", and what to use instead. pieces: whether
    # an item is laid out with them, so that no more are needed than its whole.
    Material = Struct.new(:thing, :per, :count, :instead, :pieces, keyword_init: true) do # rubocop:disable Lint/StructNewOverride
      # Pieces that an item is laid out with.
      def self.pieces(count, thing, per:, instead:)
        new(thing: thing, per: per, count: count, instead: instead, pieces: true)
      end

      # @param largest [Integer, nil] the largest whole of the items
      def up_to(largest) = pieces && largest ? self.class.new(**to_h, pieces: true, count: [count, largest].min) : self

      # As programs are told.
      def to_h = super.except(:pieces)

      # A thing that is not counted is only named.
      def to_s = count ? "#{count} #{thing} for each #{per}".sub("for each class", "for the class") : thing
    end
  end
end
