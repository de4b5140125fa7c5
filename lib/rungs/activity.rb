# frozen_string_literal: true

module Rungs
  # What is done with a class on the board, and what is talked of (guide 8). Each activity is one file with one class, a
  # Kind, in the catalogue ALL; nothing else knows its name.
  #
  #   Activity::ALL.fetch("hidden_beads").with("whole" => 10).items(seed: 3).first.ask
  module Activity
    Rungs.shelve self

    # What a teacher wants to do, in the order of a lesson.
    FINDS = { "see" => "See at a glance", "put_together" => "Put together", "take_away" => "Take away",
              "make_ten" => "Make ten", "doubles" => "Doubles", "parts" => "Parts of a number", "equals" => "Equals",
              "tens" => "Tens and ones", "games" => "Games", "talk" => "Talk",
              "own" => "Your own" }.freeze

    ALL = Catalogue.new("activity", [
      QuickLooks, HiddenBeads, FillTheFrame, TenAndSome, Toss, AllTheWays, TwoGroups, SomeLeave, Twins, FairShares,
      JumpTrack, SameBothSides, BundlesOfTen, BuildAndBreak, TurnAround, NumberRiddle, DiceMat, DominoSums, TwoCards,
      StoryTime, PlanForIt, Strings, WhoseWay, MeetASign, MatchUp, TwoTowers, CountBy, ByHeart, OwnPart
    ])

    # What a lesson has unless the teacher says otherwise (guide 2).
    USUAL = %w[quick_look story_time whose_way by_heart].freeze

    # Where known facts are heard by heart each week, the class's choice.
    WEEKLY = ByHeart

    # Which take problems of the teacher's own: posed with words or bare, and facts to be known. Each has told(problem),
    # an item's data.
    POSED = StoryTime
    PRACTISED = ByHeart

    # Whose items are a teacher's own words and sentences.
    OWN = OwnPart
  end
end
