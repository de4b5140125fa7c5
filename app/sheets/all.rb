# frozen_string_literal: true

# All that can be printed: each sheet an entry (Sheets::Entry).
module Sheets
  ALL = Shelves.new(
    "sheet",
    [Practice,
     Fill::Dots, Fill::Ways, Fill::Frame, Fill::Line, Fill::Parts, Fill::CrossOut, Fill::Towers, Fill::Ladder,
     Cut::NumberCards, Cut::DotCards, Cut::Dominoes, Cut::Frames, Cut::PlaceValue, Cut::DiceNets, Cut::Mats,
     Cut::RiddleCards, Cut::StoryCards, Cut::MatchCards, Cut::Strips, Cut::Lines, Cut::PartsMats,
     OwnNumbers, NotePages, HomePages, Clipboard, LessonPage]
  )
end
