# frozen_string_literal: true

module Rungs
  module Clip
    # One word of a scene. number: Integer, what it says; nil for silence. pause_s: Float, seconds before it. hands: one
    # of HANDS, what they do meanwhile. so_far: how many they have touched, put up, taken down, moved or drawn by then.
    Said = Struct.new(:number, :pause_s, :hands, :so_far, keyword_init: true) do
      # @return [String] "" for silence
      def words = number ? NumberWords.say(number) : ""

      def to_h = { words: words, pause_s: pause_s, hands: { kind: hands, count: so_far } }
    end
    Said::HANDS = %w[none fingers_up fingers_down touch move draw].freeze
  end
end
