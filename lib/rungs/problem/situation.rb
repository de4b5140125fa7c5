# frozen_string_literal: true

module Rungs
  class Problem
    # What happens in a story and what is asked (guide 3.1).
    #
    # open: many plans are right; its parts are one of them. form: how it is written as an equation, F and S being the
    # first and second part, W the whole, □ the unknown. missing_part: a part is sought and nothing leaves, so that it
    # can be built up to.
    class Situation
      attr_reader :id, :title, :unknown, :form, :missing_part, :first_year, :sizes, :open

      def initialize(id:, title:, unknown:, form:, missing_part: false, first_year: false, sizes: [2], open: false)
        @id = id
        @title = title
        @unknown = unknown
        @form = form
        @missing_part = missing_part
        @first_year = first_year
        @sizes = sizes
        @open = open
        freeze
      end

      def compare? = id.start_with?("compare.")
      def put_back? = form.start_with?("□ −")
      def operation = unknown == :whole ? "add" : "subtract"

      # How late it is taught: 0 in the first year, 2 where the start is asked or the word points the wrong way.
      LATE = %w[add_to.start take_from.start compare.bigger.fewer compare.smaller.more].freeze
      def difficulty = [first_year, !LATE.include?(id)].index(true) || 2

      # @param operation ["add", "subtract"]
      # @return [Array<Situation>] those with two parts, in the order they are taught
      def self.taught(operation)
        two = ALL.select { |each| each.operation == operation && each.sizes == [2] && !each.open }
        two.sort_by.with_index { |each, index| [each.difficulty, index] }
      end

      # @return [Array<String>] the letters of the numbers it gives: ["W", "F"]; an open one gives how many plan
      def givens = open ? ["F"] : form.scan(/[WFST]/)

      # What happens, by the first word of the id.
      GROUPS = { "add_to" => "Some arrive", "take_from" => "Some leave", "together" => "Kinds together",
                 "compare" => "Two sets", "plan_for_it" => "Plan for it" }.freeze

      def kind = id.split(".").first
      def group = GROUPS.fetch(kind)

      # The question alone: "how many now?"
      def question = title.split(": ").last

      # What each number is in the story: W at first, F what leaves.
      NUMBERS = {
        "add_to" => { "F" => "at first", "S" => "arrive", "W" => "at the end" },
        "take_from" => { "W" => "at first", "F" => "leave", "S" => "are left" },
        "together" => { "F" => "of one kind", "S" => "of the other", "T" => "of the third", "W" => "in all" },
        "compare" => { "F" => "in the smaller set", "S" => "is the difference", "W" => "in the bigger set" },
        "plan_for_it" => { "F" => "children plan" }
      }.freeze

      # @return [Array<String>] what each of its given numbers is, in order
      def number_names = NUMBERS.fetch(kind).values_at(*givens)

      # @param given [Hash{String => Integer}] its given numbers by letter
      # @return [Array<Integer>] the parts that follow from them; one is negative where they make no problem
      def parts(given)
        whole, first, second = given.values_at("W", "F", "S")
        first ||= second ? whole - second : whole / 2
        open ? [first] * 3 : [first, second || (whole - first), *given["T"]]
      end

      # Numbers that this situation can tell: a difference of nothing is no "how many more".
      def tells?(parts) = sizes.include?(parts.size) && (!compare? || parts[1].positive?)

      # @return [Array<Integer>] the parts that may be 0 in every story, since none of them says so: what is left, the
      #   smaller set
      def unsaid_zero
        { "take_from.result" => [1], "compare.smaller.more" => [0], "compare.smaller.fewer" => [0] }.fetch(id, [])
      end

      ALL = Catalogue.new("situation", [
        { id: "add_to.result", title: "some, then more arrive: how many now?", unknown: :whole, form: "F + S = □",
          first_year: true },
        { id: "add_to.change", title: "some, then more arrive: how many arrived?", unknown: :second, form: "F + □ = W",
          missing_part: true },
        { id: "add_to.start", title: "some, then more arrive: how many at first?", unknown: :first, form: "□ + S = W",
          missing_part: true },
        { id: "take_from.result", title: "some leave: how many are left?", unknown: :second, form: "W − F = □",
          first_year: true },
        { id: "take_from.change", title: "some leave: how many went?", unknown: :first, form: "W − □ = S" },
        { id: "take_from.start", title: "some leave: how many at first?", unknown: :whole, form: "□ − F = S" },
        { id: "together.total", title: "two kinds together: how many in all?", unknown: :whole, form: "F + S = □",
          first_year: true },
        { id: "together.part", title: "two kinds together: how many of the other?", unknown: :second,
          form: "F + □ = W", missing_part: true },
        { id: "together.both", title: "two kinds: how many could each be?", unknown: :both, form: "W = □ + □",
          first_year: true },
        { id: "compare.difference.more", title: "two sets: how many more?", unknown: :second, form: "W − F = □" },
        { id: "compare.difference.fewer", title: "two sets: how many fewer?", unknown: :second, form: "W − F = □" },
        { id: "compare.bigger.more", title: "two sets: how many in the bigger?", unknown: :whole, form: "F + S = □" },
        { id: "compare.bigger.fewer", title: "two sets: the bigger, told by “fewer”", unknown: :whole,
          form: "F + S = □" },
        { id: "compare.smaller.more", title: "two sets: the smaller, told by “more”", unknown: :first,
          form: "W − S = □" },
        { id: "compare.smaller.fewer", title: "two sets: how many in the smaller?", unknown: :first,
          form: "W − S = □" },
        { id: "together.three", title: "three kinds together: how many in all three?", unknown: :whole,
          form: "F + S + T = □", sizes: [3] },
        { id: "plan_for_it", title: "plan for it: choose, list and find the total", unknown: :whole,
          form: "□ + □ + □ = □", sizes: [3], open: true }
      ].map { |entry| new(**entry) })
    end
  end
end
