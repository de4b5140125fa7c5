# frozen_string_literal: true

module Pages
  module Sheets
    # What was circled on the clipboard, on the same grid.
    class EnterPage < Shared::Page
      view :"sheets/enter", tab: "sheets", title: "Enter the clipboard", scripts: %w[enter]

      # What a cell offers: mark, code and title of each rung, then of what is off the ladder.
      MARKS = [*Rungs::Strategy::Rung::ALL.map { |rung| [rung.level.to_s, rung.id, rung.title] },
               *{ "0" => "no_answer", "g" => "guess", "9" => "unseen" }.map do |mark, id|
                 [mark, id, Rungs::Strategy::OffLadder::ALL.fetch(id).title]
               end].freeze

      # @param printing [Printing::OfClass] settled
      def initialize(visitor, printing)
        super(visitor)
        @printing = printing
      end

      def_delegators :@printing, :day, :asked
      def margin = nil

      # @return [Records::Observation, nil] what is kept of a child’s answer
      def answer_of(child, item) = entered[[child.id, item.part.id, item.item]]

      private

      def entered
        @entered ||= @printing.lesson ? Records::Observation.by_item(@printing.lesson) : {}
      end
    end
  end
end
