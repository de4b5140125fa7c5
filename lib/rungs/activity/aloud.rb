# frozen_string_literal: true

module Rungs
  module Activity
    # A number sentence read as one says it, left to right.
    #
    #   Aloud.read("12 − 5 = 7")  # => "twelve take away five is seven"
    module Aloud
      SIGNS = { "+" => "and", "−" => "take away", "=" => "is", "□" => "what number" }.freeze

      module_function

      # @param equation [String] numbers to 999
      # @param minus [String] how the class says the sign
      # @return [String]
      def read(equation, minus: "take away")
        equation.scan(/\d+|[+−=□]/)
                .map { |each| SIGNS.merge("−" => minus).fetch(each) { NumberWords.say(each.to_i) } }.join(" ")
      end
    end
  end
end
