# frozen_string_literal: true

module Pages
  module Account
    # Whether a password is made of words that somebody at a school would try, and of next to nothing else.
    module GuessedPassword
      WORDS = %w[kindergarten first year grade class classroom school schools primary elementary preschool teacher
                 teachers maths math mathematics password letmein welcome children pupils rungs room].freeze
      # Letters of an own word that are enough to look for it; signs besides such words that are enough for a password.
      SHORT = 3
      ENOUGH = 6

      module_function

      # @param password [String]
      # @param own [Array<String, nil>] names of the class, its school and its teacher
      def of?(password, own)
        words = own.compact.flat_map { |name| name.downcase.scan(/\p{L}{#{SHORT},}/o) } + WORDS
        longest_first = words.uniq.sort_by { |word| -word.size }
        rest = password.downcase.gsub(Regexp.union(longest_first), "").gsub(/[^\p{L}\d]/, "")
        rest.size < ENOUGH
      end
    end
  end
end
