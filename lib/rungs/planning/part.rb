# frozen_string_literal: true

module Rungs
  module Planning
    # A kind of part that a lesson may have, in the order a lesson usually goes (guide 2 and 11).
    #
    # minutes: how long it usually takes.
    Part = Struct.new(:id, :title, :minutes, :about, keyword_init: true) do
      # One part in minutes that a plan can hold.
      def self.minutes?(number) = number.is_a?(Integer) && number.between?(1, 60)
    end

    Part::ALL = Catalogue.new("part of a lesson", [
      { id: "story", title: "A story problem", minutes: 10, about: "pose it, walk, listen, record" },
      { id: "share", title: "Share", minutes: 6,
        about: "two or three ways on the board, from the least to the most abstract" },
      { id: "practice", title: "Practise", minutes: 5, about: "a few bare problems with numbers like these" }
    ].map { |entry| Part.new(**entry).freeze })

    # What a lesson has unless the teacher says otherwise: parts and activities.
    Part::USUAL = %w[quick_look story share practice].freeze
  end
end
