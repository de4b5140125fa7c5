# frozen_string_literal: true

module Rungs
  module Planning
    # A question on which teachers differ, with the choices, the default first (guide 12).
    #
    # choices: id → the words a teacher reads.
    Setting = Struct.new(:id, :question, :choices, keyword_init: true) do
      def default = choices.keys.first

      # @return [String] the choice that stands, whatever was kept
      def choice(kept) = choices.key?(kept) ? kept : default
    end

    Setting::ALL = Catalogue.new("setting", [
      { id: "turned", question: "Are 2 + 3 and 3 + 2 two ways or one?", choices: { "two" => "two", "one" => "one" } },
      { id: "sentences", question: "Number sentences are written",
        choices: { "across" => "across", "down" => "down the page" } },
      { id: "places", question: "Children to listen to in a day", choices: %w[6 3 4 5 8 10 12].to_h do |number|
        [number, number]
      end },
      { id: "paper", question: "Paper for sheets", choices: { "a4" => "A4", "letter" => "Letter" } },
      { id: "idle", question: "Signed out where nothing was pressed for",
        choices: { "12" => "12 hours", "1" => "an hour", "4" => "4 hours", "24" => "a day", "72" => "three days" } },
      { id: "session_days", question: "Signed out in any case after",
        choices: { "30" => "30 days", "1" => "a day", "7" => "a week", "90" => "90 days" } }
    ].map { |entry| Setting.new(**entry).freeze })
  end
end
