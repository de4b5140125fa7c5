# frozen_string_literal: true

module Pages
  module Ear
    # One clip: played, answered, then pause_in_words.
    class ClipPage < Page
      P = Rungs::Picture
      view :"ear/clip", title: "Your ear", scripts: %w[ear]

      # One word of it: as it is said, the seconds before it, and the picture of the hands.
      Frame = Struct.new(:words, :pause, :picture, :hands, keyword_init: true) do
        # "after 2.4 s, a finger up"
        def pause_in_words = pause >= LONG ? "After #{pause} s, #{hands}" : Rungs.capital(hands)
      end
      # Seconds from which a pause is pause_in_words.
      LONG = 1.5

      def clip = ear.now["clip"]
      def heard_as = ear.now["heard_as"]
      def alike_now = ear.last_pairs.count { |was, heard| was == heard }
      def right? = heard_as == clip["rung"]
      def place = "#{ear.place} of #{Rungs::Clip::Practice::LENGTH}"
      # What each rung looks like, whatever the sum.
      def looks = rungs.to_h { |rung| [rung.id, rung.looks_like] }
      def title_of(code) = Records::Observation.title_of(code)

      # @return [Array<Frame>]
      def frames
        clip["said"].map do |said|
          kind, count = said["hands"].values_at("kind", "count")
          picture = Drawings::Picture.draw(picture(kind, count).layout, label: nil) unless kind == "none"
          Frame.new(words: said["words"].empty? ? "…" : said["words"], pause: said["pause_s"], picture: picture,
                    hands: HANDS.fetch(kind))
        end
      end

      # What the hands do, for who cannot see them.
      HANDS = { "none" => "hands rest", "fingers_up" => "a finger up", "fingers_down" => "a finger down",
                "touch" => "touches one", "move" => "moves it away", "draw" => "draws" }.freeze

      private

      def picture(kind, count)
        return P::Fingers.new([[count, 10].min]) if kind.start_with?("fingers")

        P::Objects.new([count], thing: "button", moved: kind == "move" ? count : 0)
      end
    end
  end
end
