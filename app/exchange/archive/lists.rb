# frozen_string_literal: true

module Exchange
  module Archive
    # What a class is made of, in the order in which it is read back.
    module Lists
      include Limits
      include OfChild

      def self.list(name, note, numbered: true, within: nil, order: [], of_child: OWN, &block)
        List.new(name: name, note: note, numbered: numbered, within: within, order: order, of_child: of_child,
                 fields: Fields.of(&block).freeze)
      end
      private_class_method :list

      # Of the class itself.
      CLASS = Fields.of do
        key :key, "by which the class is known wherever it is read"
        text :name, "what it is called", span: 1..NAME
        text :school, "its school", span: 0..80
        text :time_zone, "of the time zone database"
        settings :settings, "choices by their ids; children by their numbers"
        time :created_at, "when it was begun"
        date :ends_on, "the day on which it ends", none: true
      end.freeze

      ALL = [
        list(:children, "who is in the class, or was", of_child: ->(ids) { { id: ids } }) do
          text :name, "first name", span: 1..NAME
          date :left_on, "since when off the list", none: true
          time :created_at, "when put on the list"
          integer :seat, "place at the tables", none: true, span: 0..SOME
          integer :place, "place in a list of the teacher's own order", span: -SOME..SOME
        end,
        list(:absences, "days on which a child was away", numbered: false, order: %i[day child_id]) do
          ref :child_id, "who", to: :children
          date :day, "when"
        end,
        list(:weeks, "what a week is for", numbered: false, order: %i[monday], of_child: NONE) do
          date :monday, "its first day"
          text :band, "range of numbers", among: BANDS, none: true
          text :operation, "its operation", among: OPERATIONS, none: true
          text :i_can, "its sentence", none: true
          integer :seed, "by which it is proposed", span: 0..SOME
          integer :rung, "1 to 5, the rung it is for", none: true, span: 1..5
        end,
        list(:lessons, "days with a lesson", of_child: ->(ids) { { id: PROBLEMS.call(ids).select(:lesson_id) } }) do
          date :held_on, "its day"
          time :created_at, "when it was begun"
          time :ended_at, "when it was over", none: true
          listening :listening, "whom to hear, and why", none: true
          groups :groups, "groups of children", none: true
          keys :set_aside, "keys of what a substitute took down and the teacher set aside", none: true
        end,
        list(:lesson_parts, "parts of lessons", of_child: ->(ids) { { id: IN_PARTS.call(ids) } }) do
          ref :lesson_id, "of which lesson", to: :lessons
          integer :place, "its place there", span: -SOME..SOME
          text :kind, "id of an activity", among: Rungs::Activity::ALL.ids
          integer :minutes, "planned; 0 of what is beside another part", span: 0..60
          json :details, "options, seed, and items that were told or thrown"
          yes_no :skipped, "whether it was skipped"
          time :removed_at, "when it was taken out", none: true
        end,
        list(:part_runs, "when a part went on", within: :lesson_parts, of_child: NONE) do
          ref :part_id, "of which part", to: :lesson_parts
          time :started_at, "from"
          time :ended_at, "to", none: true
          yes_no :stopped, "whether it was stopped to go on another day"
        end,
        list(:check_ins, "a few problems with one child") do
          ref :child_id, "with whom", to: :children
          text :operation, "its operation", among: OPERATIONS
          text :band, "range of numbers", among: BANDS, none: true
          time :started_at, "from"
          time :ended_at, "to", none: true
        end,
        list(:problems, "problems that were posed", of_child: ->(ids) { { id: ASKED.call(ids) } }) do
          ref :lesson_id, "in which lesson", to: :lessons
          text :situation, "null for an equation", among: Rungs::Problem::Situation::ALL.ids, none: true
          text :equation, "with its box"
          numbers :parts, "the parts of the whole", span: 0..LARGEST
          text :unknown, "what is sought", among: %w[whole first second both]
          text :operation, "its operation", among: OPERATIONS
          text :band, "range of its numbers", among: BANDS
          numbers :affords, "rungs that can show", span: 1..5
          text :story, "its words"
          text :template, "which story it is of", none: true
          time :posed_at, "when"
          ref :check_in_id, "of which check-in", to: :check_ins, none: true
          ref :part_id, "of which part", to: :lesson_parts, none: true
          text :number_set, "easier, middle or harder numbers of one story", none: true
          integer :item, "which item of its part, from 0", none: true, span: 0...ITEMS
        end,
        list(:observations, "what was heard, every version of it") do
          ref :replaces_id, "the version it takes the place of", to: :observations, none: true
          ref :child_id, "of whom", to: :children
          ref :problem_id, "on what", to: :problems
          key :first_key, "of its first version"
          key :client_key, "of the tap"
          time :happened_at, "when it was said"
          time :recorded_at, "when it came in"
          text :code, "a rung, or off the ladder", among: CODES
          integer :rung, "1 to 5", none: true, span: 1..5
          text :move, "how", among: Rungs::Strategy::Move::ALL.ids, none: true
          integer :answer, "what was said, where that was noted", none: true, span: 0..999
          yes_no :right, "whether the answer was right"
          words :used, "objects, fingers and the like"
          text :help, "how much", among: %w[alone prompted shown]
          yes_no :undone, "whether it was taken back"
          numbers :heard, "numbers heard, in order", span: 0..999
          integer :seconds, "until the answer", none: true, span: 0..SOME
          text :slip, "which, where it was chosen", among: SLIPS, none: true
          yes_no :substitute, "whether a substitute heard it"
          key :beside, "of the first version of the one that counts, where two heard one answer", none: true
        end,
        list(:showings, "when something stood on the board", of_child: NONE) do
          ref :problem_id, "which problem", to: :problems, none: true
          time :shown_at, "from"
          time :covered_at, "to", none: true
          ref :part_id, "of which part", to: :lesson_parts, none: true
          integer :item, "which item, from 0", none: true, span: 0...ITEMS
        end,
        list(:ways, "ways that were offered", of_child: ->(ids) { { id: GAVE.call(ids) } }) do
          ref :problem_id, "for which problem", to: :problems, none: true
          text :text, "as said or written"
          text :move, "how", among: Rungs::Strategy::Move::ALL.ids, none: true
          integer :tally, "how often", span: 0..SOME
          text :initials, "of who gave it"
          ref :part_id, "of which part", to: :lesson_parts, none: true
          integer :item, "which item, from 0", none: true, span: 0...ITEMS
          spots :groups, "groups of what was seen"
        end,
        list(:way_givers, "who offered a way", numbered: false, within: :ways, order: %i[way_id child_id]) do
          ref :way_id, "which way", to: :ways
          ref :child_id, "who", to: :children
          time :given_at, "when"
        end,
        list(:notes, "notes for families, as the teacher left them", order: %i[child_id]) do
          ref :child_id, "about whom", to: :children
          told :parts, "its parts by name"
          time :changed_at, "when it was written"
        end,
        list(:photos, "drawings, beside this file") do
          ref :child_id, "whose", to: :children
          key :first_key, "of the observation it belongs to"
          key :client_key, "of the tap"
          time :taken_at, "when"
          file :file, "where it lies"
        end,
        list(:home_answers, "what families wrote back") do
          ref :child_id, "whose", to: :children
          date :day, "when it came"
          text :code, "a rung, or played", among: Records::HomeAnswer::CODES
        end,
        list(:came_with, "where a child was when handed over without the records") do
          ref :child_id, "who", to: :children
          text :operation, "in which operation", among: OPERATIONS
          text :band, "in which range", among: BANDS
          integer :rung, "1 to 5", span: 1..5
          text :sure, "how clear that was, in words"
          integer :records, "from how many answers"
          date :day, "when"
          integer :rule, "by which rule; null for an earlier one", none: true
          integer :facts_heard, "of how many facts heard", none: true
          integer :facts_known, "so many were known", none: true
        end,
        list(:own, "what its teachers wrote themselves", numbered: false, order: %i[id], of_child: THERE) do
          text :kind, "what it is", among: Rungs::Own::ALL.ids
          json :content, "its fields"
          time :at, "when it was written"
          time :removed_at, "when it was taken out", none: true
        end
      ].freeze
      BY_NAME = ALL.to_h { |each| [each.name, each] }.freeze
    end
  end
end
