# frozen_string_literal: true

module Records
  # A code that one person reads out and another types: eight letters and digits that are not taken for each other.
  module ShortCode
    LETTERS = [*"A".."Z", *"2".."9"].freeze - %w[I L O S Z]
    LONG = 8

    module_function

    def make = Array.new(LONG) { LETTERS.sample(random: SecureRandom) }.join

    # "K7MP-QR2A"
    def written(code) = code.scan(/.{4}/).join("-")

    # @param typed [String] in any case, with what stands between
    # @return [String, nil] nil where it is none
    def read(typed)
      plain = typed.to_s.upcase.gsub(/[^A-Z0-9]/, "")
      plain if plain.size == LONG
    end
  end
end
