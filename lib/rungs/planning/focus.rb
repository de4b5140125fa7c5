# frozen_string_literal: true

module Rungs
  module Planning
    # What acts an aim out (guide 11): activities in their order, each for two or three days, then the next.
    #
    #   Focus.new(aim, memory, days: 5).for(monday).first.kind.id  # => "two_groups"
    class Focus
      # How many days one stays, by the days of a week; how many days running, and of the last school days, it may be
      # there in the same picture.
      STAYS = Hash.new(3).merge(4 => 2).freeze
      RUNNING = 3
      OFTEN = 5
      LAST = 10
      # Choices that are about the picture.
      PICTURES = %w[on lie acted with shown].freeze

      # @param text [String] "hidden_beads whole=10"
      # @return [Array(Class, Hash)]
      def self.read(text)
        id, *chosen = text.split
        kind = Activity::ALL.fetch(id)
        options = chosen.to_h do |each|
          name, choice = each.split("=")
          [name, kind.options.find { |option| option.id == name }.read(choice)]
        end
        [kind, options]
      end

      # By range and rung: adding, taking away.
      TABLE = {
        ["to5", 1] => [%w[two_groups], %w[some_leave]],
        ["to5", 3] => [%w[all_the_ways toss], ["hidden_beads whole=5", "some_leave"]],
        ["to10", 1] => [%w[two_groups fill_the_frame], %w[some_leave]],
        ["to10", 2] => [["two_groups covered=first", "jump_track"], %w[jump_track some_leave]],
        ["to10", 3] => [%w[toss all_the_ways twins], %w[turn_around hidden_beads whose_way]],
        ["to10", 4] => [["hidden_beads whole=10", "fill_the_frame frame=10", "toss n=10"],
                        ["hidden_beads whole=10", "fill_the_frame frame=10"]],
        ["teens", 3] => [%w[ten_and_some build_and_break], %w[build_and_break ten_and_some]],
        ["bridge", 2] => [["two_groups covered=first", "jump_track"], %w[jump_track some_leave]],
        ["bridge", 3] => [["twins near=yes", "number_string move=near_double", "whose_way"],
                          ["turn_around", "number_string move=family"]],
        ["bridge", 4] => [["fill_the_frame frame=two", "number_string move=up_through_ten", "jump_track",
                           "same_both_sides"],
                          ["number_string move=back_through_ten", "jump_track", "whose_way"]],
        "to20" => [%w[build_and_break jump_track number_string]] * 2,
        "tens" => [%w[bundles_of_ten jump_track]] * 2,
        "to100" => [%w[build_and_break jump_track]] * 2
      }.freeze
      private_constant :TABLE

      # Before taking away in the first numbers a class meets its sign, where it knows the others.
      SIGN = "minus"
      SIGNS = %w[plus plus_equals].freeze
      FIRST = %w[to5 to10].freeze

      # @param aim [Aim]
      # @param memory [Memory]
      # @param days [Integer] of the week
      # @param signs [String, nil] that the class has met, as it is set
      def initialize(aim, memory, days:, signs: nil)
        @aim = aim
        @memory = memory
        @stays = STAYS[days]
        @signs = signs
      end

      # @param date [Date]
      # @param now [Candidates::Candidate, nil] what was it the day before
      # @param stayed [Integer] for how many days it has been
      # @return [Array<Candidates::Candidate>] the best first; what was there too often last, since every day has one
      def for(date, now: nil, stayed: 0)
        found, too_often = in_order(now&.kind).partition { |each| fresh_enough?(each, date) }
        return sign + found + too_often unless now

        again, others = found.partition { |each| each.kind == now.kind }
        again = again.partition { |each| picture(each) == picture(now) }.flatten(1)
        listed, rest = others.partition { |each| table.any? { |kind, _| kind == each.kind } }
        beside = table.none? { |kind, _| kind == now.kind }
        return listed + (over?(stayed) ? rest + again : again + rest) + too_often if beside

        (over?(stayed) ? others + again : again + others) + too_often
      end

      def over?(stayed) = stayed >= @stays

      # @return [Hash] the choices that are about the picture
      def picture(candidate) = candidate.options.slice(*PICTURES)

      private

      # For one day, once.
      def sign
        kind = Activity::MeetASign
        meets = SIGNS.include?(@signs) && @aim.operation == "subtract" && FIRST.include?(@aim.range)
        return [] if !meets || @memory.known?(kind)

        [Candidates::Candidate.new(kind: kind, options: { **kind.sets_for(@aim).first, "sign" => SIGN })]
      end

      # Those of the table from what was there last on, in their own picture, then in others; then whatever else acts
      # the aim out.
      def in_order(last)
        place = table.index { |kind, _| kind == last }
        listed = place ? table.rotate(place) : table
        own = listed.map { |kind, options| sets(kind, options) }
        pictured = listed.flat_map { |kind, options| in_other_pictures(kind, options) }
        (own.flatten(1) + pictured + others.flat_map { |kind| sets(kind, {}) }).uniq
      end

      def table
        @table ||= begin
          there = TABLE[[@aim.range, @aim.rung]] || TABLE[@aim.range] || []
          there[@aim.operation == "add" ? 0 : 1].to_a.map { |text| Focus.read(text) }
        end
      end

      # A string goes by its move, which its sets say.
      def others
        suited = Activity::ALL.select { |kind| kind.suits.aim?(@aim) }
        [*suited, Activity::Strings] - table.map(&:first)
      end

      # Other numbers before those that were there.
      def sets(kind, options)
        made = kind.sets_for(@aim).map { |set| Candidates::Candidate.new(kind: kind, options: { **set, **options }) }
        made.uniq.sort_by.with_index { |each, at| [@memory.used(each), at] }
      end

      def in_other_pictures(kind, options)
        pictures = kind.options.select { |each| PICTURES.include?(each.id) && !options.key?(each.id) }
        pictures.flat_map do |option|
          option.choices.drop(1).flat_map { |choice| sets(kind, { **options, option.id => choice }) }
        end
      end

      # Not too many days in the same picture.
      def fresh_enough?(candidate, date)
        days = @memory.focus_days(candidate.kind, picture(candidate))
        before = SchoolDays.before(date, LAST - 1)
        return false if before.last(RUNNING).size == RUNNING && (before.last(RUNNING) - days).empty?

        @aim.year == "kindergarten" || (before & days).size < OFTEN
      end
    end
  end
end
