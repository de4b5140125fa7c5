# frozen_string_literal: true

# All that can be printed: each sheet an entry (Sheets::Entry).
module Sheets
  # Where sheets lie, with their heading in the list; those without stand by themselves.
  SHELVES = { "practice" => "Practice", "recording" => "To fill in", "cutouts" => "To cut" }.freeze

  ALL = Rungs::Catalogue.new(
    "sheet",
    [Practice,
     Fill::Dots, Fill::Ways, Fill::Frame, Fill::Line, Fill::Parts, Fill::CrossOut, Fill::Towers, Fill::Ladder,
     Cut::NumberCards, Cut::DotCards, Cut::Dominoes, Cut::Frames, Cut::PlaceValue, Cut::DiceNets, Cut::Mats,
     Cut::RiddleCards, Cut::StoryCards, Cut::MatchCards, Cut::Strips, Cut::Lines, Cut::PartsMats,
     OwnNumbers, FamilyNote, Clipboard, LessonPage]
  )

  module_function

  # @return [Array<Class>] those on a shelf
  def on(shelf) = ALL.select { |each| each.shelf == shelf }
end
