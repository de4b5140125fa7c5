# frozen_string_literal: true

module Rungs
  class Problem
    # Whether a first reader can take these words: the longest sentence, and words outside a first reader's list (guide
    # 14). Names, numbers and what the list has in another form (plural, past) count as known.
    class Reading
      LIST = File.join(__dir__, "stories", "first_reader_words.txt")
      WORDS = File.read(LIST, encoding: "UTF-8").split.freeze
      KNOWN = WORDS.to_h { |word| [word, true] }.freeze
      LONGEST = 14
      private_constant :KNOWN

      # @param text [String]
      # @param names [Array<String>] words that are names
      def initialize(text, names: Story::NAMES)
        @text = text
        @names = names
      end

      # @return [Integer] words in the longest sentence
      def longest_sentence = @text.split(/[.?!]/).map { |sentence| sentence.split.size }.max || 0

      # @return [Array<String>] words a first reader may not know, in order, each once
      def hard_words
        @text.scan(/[[:alpha:]’']+/).reject { |word| @names.include?(word) || known?(word.downcase) }.uniq
      end

      def easy? = longest_sentence <= LONGEST && hard_words.empty?

      private

      ENDINGS = %w[s es ed d].freeze
      private_constant :ENDINGS

      def known?(word) = KNOWN[word] || ENDINGS.any? { |ending| KNOWN[word.delete_suffix(ending)] }
    end
  end
end
