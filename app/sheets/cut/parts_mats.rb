# frozen_string_literal: true

module Sheets
  class Cut
    # To lay things on.
    class PartsMats < Cut
      entry id: "parts_mats", title: "Mats for a whole and its parts"
      size 85, 110

      private

      def cards = [Rungs::Picture::Parts.new([0, 0], show: :dots, place: @whole)] * 4
      def front(mat, *box) = picture(mat, *box)
    end
  end
end
