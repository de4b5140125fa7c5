# frozen_string_literal: true

module Rungs
  module Planning
    # Where a class is in one operation before a week (guide 11): each child's edge, the range they speak for, and the
    # aim.
    #
    #   Standing.new({ "Ada" => answers }, operation: "add", on: monday).edges  # => { "Ada" => "to10" }
    class Standing
      # Of the edges so many are the class's range or its neighbours, or two groups are proposed; of the children so
      # many were heard in a range, or it is new; of those heard enough so many show a rung before it is passed over.
      NEAR = Rational(1, 2)
      MET = Rational(1, 3)
      SHOWN = Rational(1, 3)

      attr_reader :operation, :on, :year

      # @param children [Hash{Object => Array<#operation, #band, #missing_part?, #record>}] each child's answers, in the
      #   order they happened
      # @param operation ["add", "subtract"]
      # @param on [Date] the first day of the week
      def self.of(children, operation:, on:, **more)
        heard = children.transform_values { |answers| Heard.new(answers, operation, before: on) }
        new(heard, operation: operation, on: on, **more)
      end

      # @param children [Hash{Object => Heard}]
      # @param year ["first", "kindergarten"]
      # @param aimed [Array<Integer>] the rungs that weeks have aimed at to ten
      # @param settled [Boolean] whether the class was got to know long enough, whatever was heard
      def initialize(children, operation:, on:, year: "first", aimed: [], settled: false)
        @heard = children
        @operation = operation
        @on = on
        @year = year
        @settled = settled
        @aimed = (Aim.row("to10", year) - aimed).empty?
      end

      # @return [Hash{Object => String}] child → range; without those of whom too little was heard
      def edges
        @edges ||= @heard.transform_values { |heard| Edge.new(heard, on: on, year: year, aimed: @aimed).range }.compact
      end

      # @return [String] the median of the edges, of two middle ones the lower; where there are none, the first that the
      #   year begins with
      def range = median(edges.values) || first_range
      def median(ranges) = ranges.sort_by { |each| Ranges.place(each) }[(ranges.size - 1) / 2]
      def first_range = year == "kindergarten" ? "to5" : "to10"

      # Whether fewer than half of the class has been heard in the operation.
      def unheard? = !@settled && @heard.values.count(&:enough?) * 2 < size

      # Whether a range is new to the class: few have two records there that tell.
      def new_to?(range) = how_many_met(range) < MET * size
      def how_many_met(range) = @heard.values.count { |heard| heard.count(range) >= Heard::LEAST }

      # @return [Hash{Object => String}] who works two ranges or more from this one, and where
      def far_from(range) = edges.select { |_, edge| Ranges.apart(edge, range) >= 2 }

      # Whether fewer than half of the edges are this range or one beside it.
      def split?(range)
        near = edges.values.count { |edge| Ranges.apart(edge, range) <= 1 }
        edges.any? && near < NEAR * edges.size
      end

      # The commonest of the children's aims, of equals the earlier in the range's row; none is passed over that few
      # show.
      # @param range [String]
      # @return [Aim]
      def aim(range)
        row = Aim.row(range, year)
        wanted = new_to?(range) ? Aim.first(range, year) : commonest(range, row)
        held = row.take_while { |rung| rung != wanted }.find { |rung| waited_for?(rung, range) && !shown?(rung, range) }
        Aim.new(operation: operation, range: range, rung: held || wanted, year: year)
      end

      def size = @heard.size
      def names = @heard.keys

      # @return [Hash{Integer => Integer}] how many work on each rung in a range
      def working_in(range) = names.filter_map { |child| estimate(child, range).working }.tally

      # @return [Array] who works on a rung in a range
      def on_rung(range, rung) = names.select { |child| estimate(child, range).working == rung }

      # @return [Progress::Estimate] of a child in a range, as the week begins
      def estimate(child, range) = @heard.fetch(child).estimate(range)

      # Whether a child is ready in a range; whether enough was heard there of late to say so.
      def ready?(child, range) = Ready.in?(@heard.fetch(child), band: range, on: on, year: year, aimed: @aimed)
      def enough?(child, range) = @heard.fetch(child).telling(range, from: on - Ready::DAYS).size >= Ready::RECORDS

      # Whether a child has the partners of ten.
      def partners?(child) = @heard.fetch(child).partners?

      # @param range [String] with those below it
      # @return [Array<Array<Integer>>] facts, as they are known, that half of the class knows
      def known_by_half(range)
        known = @heard.values.flat_map(&:known).tally
        known.filter_map { |fact, times| fact if times * 2 >= size && !Ranges.beyond?(band_of(fact), range) }
      end

      # @return [Array] who counts everything from one below the range, to be heard by an adult beside
      def counting_all_below(range)
        below = edges.select { |_, edge| Ranges.beyond?(range, edge) }
        below.select { |child, edge| estimate(child, edge).working == 1 }.keys
      end

      private

      def commonest(range, row)
        votes = names.filter_map { |child| vote(child, range, row) }.tally
        votes.min_by { |rung, times| [-times, row.index(rung)] }&.first || row.last
      end

      # @return [Integer, nil] nil where a child has no aim there
      def vote(child, range, row)
        estimate, heard = estimate(child, range), @heard.fetch(child)
        return Aim.first(range, year) unless estimate.enough?
        return Aim::BEGINNING if range == "to5" && heard.stumbling?(range)
        return if estimate.knows? || estimate.aim_from.nil?

        aim = Progress::NextProblems.aim(estimate.aim_from, operation, range, year: year, history: heard)
        aim if row.include?(aim)
      end

      def waited_for?(rung, range) = !(range == "bridge" && rung == 3)

      def shown?(rung, range)
        heard = names.filter_map { |child| estimate(child, range).working }
        heard.count { |working| working >= rung } >= SHOWN * heard.size
      end

      def band_of(fact) = Problem::Band.of(operation == "add" ? fact : [fact[1], fact[0] - fact[1]])
    end
  end
end
