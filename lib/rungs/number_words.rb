# frozen_string_literal: true

module Rungs
  # Whole numbers 0 to 999 as children say them.
  module NumberWords
    SMALL = %w[zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen
               sixteen seventeen eighteen nineteen].freeze
    TENS = %w[zero ten twenty thirty forty fifty sixty seventy eighty ninety].freeze

    module_function

    # @param number [Integer] 0..999
    # @return [String] "fourteen", "thirty-two", "a hundred and five", "four hundred"
    def say(number)
      return SMALL.fetch(number) if number < 20
      return over_a_hundred(number) if number >= 100

      tens, ones = number.divmod(10)
      ones.zero? ? TENS.fetch(tens) : "#{TENS.fetch(tens)}-#{SMALL.fetch(ones)}"
    end

    def over_a_hundred(number)
      hundreds, rest = number.divmod(100)
      head = hundreds == 1 ? "a hundred" : "#{SMALL.fetch(hundreds)} hundred"
      rest.zero? ? head : "#{head} and #{say(rest)}"
    end

    # With a capital, for the start of a sentence.
    def open(number) = say(number).sub(/\A./, &:upcase)
  end
end
