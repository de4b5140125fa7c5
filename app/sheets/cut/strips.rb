# frozen_string_literal: true

module Sheets
  class Cut
    # Strips for a chain.
    class Strips < Cut
      entry id: "strips", title: "Strips for a chain"
      size 170, 20

      private

      def cards = [*1..12]
      def front(*) = nil
    end
  end
end
