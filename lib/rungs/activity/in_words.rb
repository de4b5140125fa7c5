# frozen_string_literal: true

module Rungs
  module Activity
    # A number sentence as a class reads it that has not met all its signs yet: with the signs it has met, and words for
    # the others (guide 12).
    #
    #   InWords.say("2 + 4 = 6", "none")   # => "2 and 4 make 6"
    #   InWords.say("5 − 2 = 3", "plus")   # => "5, 2 go, 3 are left"
    module InWords
      MET = { "all" => %w[+ − =], "plus_equals" => %w[+ =], "plus" => %w[+], "none" => [] }.freeze

      module_function

      # @param sentence [String, nil] numbers, signs and boxes
      # @param met [String] of MET
      # @return [String, nil]
      def say(sentence, met)
        signs = MET.fetch(met)
        return sentence if sentence.nil? || (sentence.scan(/[+−=]/) - signs).empty?
        return taken(sentence, signs) if sentence.include?("−")

        left, right = sentence.split(" = ").map { |side| side.split(" + ").join(signs.include?("+") ? " + " : " and ") }
        right ? "#{left} #{joined(sentence, signs)} #{right}" : left
      end

      # Several make one; a number is several; two sides are as many.
      def joined(sentence, signs)
        return "=" if signs.include?("=")

        left, right = sentence.split(" = ").map { |side| side.include?("+") }
        return "make" unless right

        left ? "are as many as" : "is"
      end

      # The whole, what goes, and what is left; where it stands first, that.
      def taken(sentence, signs)
        sides = sentence.split(" = ").sort_by { |side| side.include?("−") ? 0 : 1 }
        whole, *gone = sides[0].split(" − ").map { |side| say(side, MET.key(signs)) }
        gone = gone.map { |each| "#{each} #{each == '1' ? 'goes' : 'go'}" }
        [whole, *gone, ("#{sides[1]} #{sides[1] == '1' ? 'is' : 'are'} left" if sides[1])].compact.join(", ")
      end
      private_class_method :joined, :taken
    end
  end
end
