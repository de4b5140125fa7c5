# frozen_string_literal: true

module Rungs
  module Activity
    # The words of an activity, as they are said.
    module Saying
      private

      def read(equation) = "Read it: #{Aloud.read(equation, minus: settings[:minus])}."
      def word(number) = NumberWords.say(number)

      # A sentence with the signs that the class has met.
      def in_words(sentence) = InWords.say(sentence, settings[:signs])

      # "1 is", "4 are"
      def are(number) = "#{number} #{number == 1 ? 'is' : 'are'}"

      # "1 goes", "4 go", "1 more comes"
      def does(number, doing, what = nil)
        ending = doing.end_with?("o") ? "es" : "s"
        [number, what, number == 1 ? "#{doing}#{ending}" : doing].compact.join(" ")
      end

      # "1 bead", "4 beads"
      def many(number, one, some = "#{one}s") = "#{number} #{number == 1 ? one : some}"
    end
  end
end
