# frozen_string_literal: true

module Sheets
  class Fill
    # “Cross out those that leave. Write what is left.”
    class CrossOut < Fill
      entry id: "cross_out"
      ask "Cross out those that leave. Write what is left."

      private

      def row(y, high)
        circles(y, high)
        written("#{@number} − □ = □", y, high)
      end
    end
  end
end
