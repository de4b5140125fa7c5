# frozen_string_literal: true

module Rungs
  module Planning
    # A question on which teachers differ, with the choices, the default first (guide 12).
    #
    # choices: id → the words a teacher reads. group: one of GROUPS, under which it stands. needs: what a class must
    # have before it means anything: :children, :assistants, :own_words; nil for nothing.
    Setting = Struct.new(:id, :question, :choices, :group, :needs, keyword_init: true) do
      def default = choices.keys.first

      # As they are offered: numbers from the smallest, times from the earliest.
      def in_order = choices.keys.all?(/\A[\d:]+\z/) ? choices.sort_by { |id, _| id.delete(":").to_i } : choices.to_a

      # @return [String] the choice that stands, whatever was kept
      def choice(kept) = choices.key?(kept) ? kept : default
    end

    # Headings, those that matter first before the others.
    Setting::GROUPS = { first: "What matters first",
                        shown: "On the board and on paper", around: "Words, days and devices" }.freeze

    Setting::ALL = Catalogue.new("setting", [
      { id: "turned", group: :shown, question: "Are 2 + 3 and 3 + 2 two ways or one?",
        choices: { "two" => "two", "one" => "one" } },
      { id: "sentences", group: :shown, question: "Number sentences are written",
        choices: { "across" => "across", "down" => "down the page" } },
      { id: "fill", group: :shown, question: "A frame is filled",
        choices: { "fives" => "by fives", "pairs" => "by pairs" } },
      { id: "whole", group: :shown, question: "A whole stands",
        choices: { "top" => "above its parts", "left" => "left of its parts" } },
      { id: "minus", group: :shown, question: "8 − 3 is said as",
        choices: { "take_away" => "eight take away three", "minus" => "eight minus three" } },
      { id: "start", group: :shown, question: "A count starts from",
        choices: { "chosen" => "whichever the child chooses", "larger" => "the larger: a hint says so" } },
      { id: "fingers", group: :first, question: "Fingers are",
        choices: { "welcome" => "welcome", "quiet" => "not hinted at" } },
      { id: "signs", group: :first, question: "Signs this class has met",
        choices: { "all" => "all", "plus_equals" => "plus and equals", "plus" => "plus", "none" => "none yet" } },
      { id: "year", group: :first, question: "Children are in",
        choices: { "first" => "first grade", "kindergarten" => "kindergarten" } },
      { id: "facts", group: :first, question: "Known facts",
        choices: { "grow" => "grow out of reasoning", "weekly" => "are also checked by heart each week" } },
      { id: "region", group: :around, question: "Words and dates",
        choices: { "en" => "maths, 26 November", "en-US" => "math, November 26" } },
      { id: "sentence", group: :shown, question: "7 + 5 = 12 is called",
        choices: { "number_sentence" => "a number sentence", "equation" => "an equation" } },
      { id: "frame", group: :shown, question: "The frame of ten is called",
        choices: { "ten_frame" => "a ten frame", "tens_frame" => "a tens frame" } },
      { id: "own_words", group: :shown, needs: :own_words, question: "Words of your own come in stories",
        choices: { "among" => "among the usual ones", "half" => "every other time", "alone" => "alone" } },
      { id: "children_in_stories", group: :shown, needs: :children, question: "First names of the class in stories",
        choices: { "no" => "no", "yes" => "yes" } },
      { id: "assistant_sees", group: :around, needs: :assistants,
        question: "Assistants see ladders, children’s pages and Look back",
        choices: { "yes" => "yes", "no" => "no" } },
      { id: "places", group: :first, question: "Children to listen to in a day",
        choices: %w[6 3 4 5 8 10 12].to_h { |number| [number, number] } },
      { id: "minutes", group: :first, question: "Minutes of a lesson",
        choices: %w[25 10 15 20 30 40].to_h { |each| [each, each] } },
      { id: "starts", group: :around, question: "A lesson begins at",
        choices: %w[09:00 08:30 09:30 10:00 10:30 11:00 13:00 13:30].to_h { |time| [time, time] } },
      { id: "paper", group: :shown, question: "Paper for sheets", choices: { "a4" => "A4", "letter" => "Letter" } },
      { id: "idle", group: :around, question: "Signed out where nothing was pressed for",
        choices: { "12" => "12 hours", "1" => "an hour", "4" => "4 hours", "24" => "a day", "72" => "three days" } },
      { id: "session_days", group: :around, question: "Signed out in any case after",
        choices: { "30" => "30 days", "1" => "a day", "7" => "a week", "90" => "90 days" } }
    ].map { |entry| Setting.new(**entry).freeze })
  end
end
