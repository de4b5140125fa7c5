# frozen_string_literal: true

module Rungs
  module Activity
    # One step on the board.
    #
    # name: "ask", "look", "check" or "write". title: what the teacher reads. words: what is said or asked, for
    # children. tell: what is for the teacher alone. equation: a true sentence, once it is
    # written. seconds: how long it is seen, nil as long as wanted. hands: "groups" where what is touched is gathered
    # into groups as a child saw them; else it is worked with as its picture can be. asked: whether the picture is shown
    # only when it is asked for. beside: a second picture that checks the first. lines: the sentences of a way, one
    # under the other. falls: whether what it shows falls onto the board. minus: how the class says the
    # sign. alone: whether its words stand on the board alone, and its picture is for lists.
    Step = Struct.new(:name, :title, :layout, :words, :tell, :equation, :seconds, :hands, :asked, :beside, :lines,
                      :falls, :minus, :alone, keyword_init: true) do
      # @return [String, nil] the sentence as one reads it: "twelve take away five is seven"; one in words as it is
      def aloud
        equation&.match?(/\p{L}/) ? equation : equation && Aloud.read(equation, minus: minus || "take away")
      end

      # @return [String] its title, as what is done; what a button says
      def does = self.class::DOES.fetch(title, title)

      def to_h = { name: name, title: title, words: words, tell: tell, equation: equation, alt: layout.alt }
    end
    # Titles that do not say what is done.
    Step::DOES = { "Look" => "Show it", "Check" => "Check it", "How seen" => "Show how it was seen",
                   "On frames" => "Put it on frames", "Ten and ones" => "Show ten and ones",
                   "Together" => "Put together", "On a line" => "Show it on a line", "The cards" => "Show the cards",
                   "What happens" => "Act it out", "What stands over" => "Show what stands over",
                   "The rest" => "Count the rest" }.freeze
  end
end
