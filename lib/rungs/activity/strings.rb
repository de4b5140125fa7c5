# frozen_string_literal: true

module Rungs
  module Activity
    # Bare problems one at a time that lead to one move; an item is one problem of the string.
    class Strings < Kind
      include Bare

      entry id: "number_string", title: "A string", minutes: 8, finds: %w[talk],
            paper: { recording: "parts" },
            i_can: "I can use one problem to help with the next.",
            listen_for: { "count_all" => "counts each problem from one", "count_on" => "counts on in each",
                          "part_whole" => "uses the problem before", "make_ten" => "uses the ten that was just made",
                          "known_fact" => "knows it at once" },
            slips: %w[start_counted repeated_given],
            ranged: true,
            easier: "The same move with smaller numbers.", harder: "Leave out the first helping problem."

      option("move", "Leads to", ["up_through_ten", *(NumberString.moves - ["up_through_ten"])]) do |id|
        Strategy::Move::ALL.fetch(id).title
      end

      # Strings to the aim's own moves; what helps on the way may be easier.
      def self.sets_for(aim)
        moves = NumberString.moves.map { |id| Strategy::Move::ALL.fetch(id) }
        moves.select { |move| move.rung == aim.rung }.map { |move| { "move" => move.id, "range" => NONE } }
      end

      # As long as one is.
      def most = @most ||= NumberString.for(option(:move), random: Random.new(1)).problems.size

      def data(seed:, count: nil)
        problems = NumberString.for(option(:move), random: Random.new(seed)).problems
        problems = problems.select { |each| range.nil? || each.band == range }.map(&:to_s)
        refuse("fewer than #{LEAST} of a string are #{OPTION.say(range)}") if range && problems.size < LEAST
        if count && count > problems.size
          raise Error::TooMany,
                "#{count} different items were asked for, but there are #{problems.size} in all (a string)"
        end

        problems.each_index.map { |place| { problems: problems, place: place } }.first(count || problems.size)
      end

      def problem_of(data) = problem(data[:problems][data[:place]])
      def hand(data) = in_order(data[:problems][data[:place]])
      def numbers_at(data) = data[:problems][data[:place]].scan(/\d+/).map(&:to_i)

      def item(data)
        asked = problem_of(data)
        make(
          ask: "How many? How did you work it out?", answer: asked.answer, problem: asked, data: data,
          shown: sentence_picture(asked.to_s),
          steps: bare_steps(asked, data[:place].zero? ? "What do you see?" : "Does the one before help?")
        )
      end

      private

      def limits = "the sentence has no answer then"

      def remade(data, *numbers)
        text = renumbered(data[:problems][data[:place]], numbers) or return
        { **data, problems: data[:problems].each_with_index.map { |each, at| at == data[:place] ? text : each } }
      end
    end
  end
end
