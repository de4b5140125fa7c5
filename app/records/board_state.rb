# frozen_string_literal: true

module Records
  # What stands on the board of a lesson: a value.
  #
  #   part, item, step: Integer, which step of which item of which part; problem: the one posed with it
  #   show: "shown" or "covered"; covered: whether it is kept covered; asked: whether it was asked for yet
  #   shown_at, until: Float, seconds since the epoch; what is seen for a moment has both
  #   sentence, ways, initials: whether they stand beside it
  #   standing: [String] ways that were shared and stand beside each other, the first shared first
  #   drawn, drawn_step: a way or a picture in its place; hands: [Integer] places in the order they were pressed
  class BoardState < JsonValue
    SHOWN = "shown"
    COVERED = "covered"

    fields :part, :item, :step, :problem, :show, :covered, :asked, :shown_at, :until, :sentence, :ways, :initials,
           :standing, :drawn, :drawn_step, :hands

    # Boards of earlier versions kept other things besides: those are not read.
    def self.read(json) = super(json.is_a?(JsonValue) ? json : json.to_h.slice(*names.values))

    def item = super || 0
    def step = super || 0
    def drawn_step = super || 0
    def shown_at = super || 0

    def standing = super.to_a

    # Older boards kept hands by what they are of: those are as if untouched.
    def hands = super.is_a?(Array) ? super : []

    def shown? = show == SHOWN

    # The same where it is the same item: what is wanted of an item stays with it from step to step.
    def wanted = self.class.new({ sentence: sentence, ways: ways, initials: initials, asked: asked })
  end
end
