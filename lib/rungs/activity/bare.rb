# frozen_string_literal: true

module Rungs
  module Activity
    # The steps of a problem that is only a sentence: seen, drawn with what is asked hidden, checked on another picture,
    # written.
    module Bare
      private

      # What follows the question.
      # @param asked [Problem]
      # @param words [String] what is said to look at it
      def bare_steps(asked, words = "What do you know already?")
        solved = asked.solved.to_s
        [step("look", started(asked), words),
         step("check", finished(asked), "Look again: is it so?"),
         step("write", asked.two_sided? ? sentence_picture(solved) : parts(asked.parts),
              read(solved), equation: solved)]
      end

      def started(asked)
        return Picture::Scale.of(asked) if asked.two_sided?

        hidden = Picture::UNKNOWN.fetch(asked.unknown)
        asked.whole.zero? ? parts(asked.parts, hidden: hidden) : Picture::Bars.new(asked.parts, hidden: hidden)
      end

      # On a line: what is put on in jumps, what is taken off jumped back, and up to the whole where a part is missing.
      def finished(asked)
        return Picture::Scale.across(asked, asked.answer) if asked.two_sided?

        landings = asked.add? ? sums(asked.parts) : [asked.whole, asked.whole - asked.given]
        landings = [asked.given, asked.whole] if asked.missing_part?
        line(landings.first, landings.uniq.drop(1))
      end

      def sums(numbers) = numbers.drop(1).reduce(numbers.first(1)) { |sums, number| [*sums, sums.last + number] }
    end
  end
end
