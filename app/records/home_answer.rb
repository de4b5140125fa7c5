# frozen_string_literal: true

module Records
  # What a family wrote back of a page for home: whose, and which rung its words were, or that it was played. Kept and
  # shown; it weighs nothing, since nobody who knows the rungs heard it.
  class HomeAnswer < Sequel::Model(:home_answers)
    many_to_one :child, class: "Records::Child"

    # Beside the rungs: nobody wrote how.
    PLAYED = "played"
    CODES = [*Rungs::Strategy::Rung::ALL.ids, PLAYED].freeze
    # As many as a page shows.
    LAST = 30

    dataset_module do
      def latest_first = reverse(:day, :id).limit(LAST)
    end

    # "count on", "played"
    def summary = Rungs::Strategy::Rung::ALL[code]&.title&.downcase || PLAYED
  end
end
