# frozen_string_literal: true

module Pages
  module FromHome
    # Strips that came back from home: a name, then what is written there; the last ones.
    class Page < Shared::Page
      view :"from_home/from_home", tab: "climb", title: "Back from home"

      def answers = room.home_answers_dataset.latest_first.eager(:child).all

      # What each rung looks like, for who reads a strip.
      def sounds = Rungs::Strategy::Rung::ALL.to_h { |rung| [rung.id, rung.looks_like] }
    end
  end
end
