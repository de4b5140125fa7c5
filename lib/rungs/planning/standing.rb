# frozen_string_literal: true

module Rungs
  module Planning
    # Where a class is before a week (guide 11): each child's edge, the range and operation they speak for, and the aim.
    #
    #   Standing.new({ "Ada" => { "to10" => records } }, on: monday).edges  # => { "Ada" => "to10" }
    class Standing
      # Records in an operation before there is an edge.
      LEAST = 2
      # Of the edges so many are the class's range or its neighbours, or two groups are proposed.
      NEAR = Rational(1, 2)

      attr_reader :on, :year

      # @param children [Hash{Object => Hash{String => Array<Progress::Record>}}] each child's records of one operation,
      #   by range, in the order they happened
      # @param on [Date] the first day of the week
      # @param year ["first", "kindergarten"]
      def initialize(children, on:, year: "first")
        @children = children
        @on = on
        @year = year
      end

      # @return [Hash{Object => String}] child → range; without those of whom too little was heard
      def edges = @edges ||= @children.transform_values { |by_range| edge(by_range) }.compact

      # @return [String] the median of the edges, of two middle ones the lower; where there are none, the first that the
      #   year begins with
      def range
        sorted = edges.values.sort_by { |range| Ranges.place(range) }
        sorted.empty? ? first_range : sorted[(sorted.size - 1) / 2]
      end

      def first_range = year == "kindergarten" ? "to5" : "to10"

      # Whether fewer than half of the class has been heard enough in the operation.
      def unheard? = edges.size * 2 < @children.size

      # @return [Hash{Object => String}] who works two ranges or more from this one, and where
      def far_from(range) = edges.select { |_, edge| Ranges.apart(edge, range) >= 2 }

      # Whether fewer than half of the edges are this range or one beside it.
      def split?(range)
        near = edges.values.count { |edge| Ranges.apart(edge, range) <= 1 }
        edges.any? && near < NEAR * edges.size
      end

      # @param operation ["add", "subtract"]
      # @param range [String]
      # @return [Aim] the commonest of the children's aims there, of equals the lower, as far as the range has it
      def aim(operation, range)
        rungs = @children.values.filter_map { |by_range| rung_for(by_range, operation, range) }.tally
        rung = rungs.min_by { |level, votes| [-votes, level] }&.first
        Aim.new(operation: operation, range: range, rung: rung || Problem::Band::ALL.fetch(range).unheard).within
      end

      # Who works with which numbers of a story: below the range with easier ones; beyond it, or past the aim, with
      # harder ones; all others with the middle ones.
      # @param aim [Aim]
      # @return [Hash{String => Array}] children by level
      def levels(aim)
        grouped = @children.keys.group_by { |child| level(child, aim) }
        %w[easier middle harder].to_h { |level| [level, grouped.fetch(level, [])] }
      end

      def size = @children.size
      def names = @children.keys

      # @return [Hash{Integer => Integer}] how many work on each rung in a range
      def working_in(range)
        @working ||= {}
        @working[range] ||= @children.values.filter_map { |by_range| estimate(by_range, range).working }.tally
      end

      # @return [Progress::Estimate] of a child's records in a range, as the week begins
      def estimate(by_range, range)
        (@estimates ||= {}.compare_by_identity)[by_range] ||= {}
        @estimates[by_range][range] ||= Progress::Estimate.of(by_range.fetch(range, []), on: on - 1,
                                                                                         scope: Progress::Scope.in_band(range))
      end

      # @return [Array] who counts everything from one below the range, to be heard by an adult beside
      def counting_all_below(range)
        below = edges.select { |_, edge| Ranges.beyond?(range, edge) }
        below.select do |child, edge|
          by_range = @children.fetch(child)
          there = heard_by(by_range, edge) and estimate(by_range, there).working == 1
        end.keys
      end

      private

      def level(child, aim)
        edge = edges[child] or return "middle"
        return "easier" if Ranges.beyond?(aim.range, edge)

        past = estimate(@children.fetch(child), aim.range).working.to_i > aim.rung
        past || Ranges.beyond?(edge, aim.range) ? "harder" : "middle"
      end

      def edge(by_range)
        told = by_range.transform_values { |records| records.select { |each| each.on_ladder? && each.day < on } }
        told = told.reject { |_, records| records.empty? }
        return if told.values.sum(&:size) < LEAST

        carrying = Ranges::ORDER.reverse.find do |range|
          Ready.carries?(told.fetch(range, []), band: range, on: on, year: year)
        end
        return lowest(told) unless carrying

        ready = Ready.in?(told.fetch(carrying), band: carrying, on: on, year: year)
        (Ranges.following(carrying) if ready) || carrying
      end

      # The lowest range that was heard of late; else ever.
      def lowest(told)
        late = told.select { |_, records| records.any? { |record| record.day >= on - Ready::DAYS } }
        Ranges::ORDER.find { |range| (late.empty? ? told : late).key?(range) }
      end

      # @return [String, nil] a range, or the nearest before it, in which enough was heard of a child
      def heard_by(by_range, range) = Ranges.up_to(range).find { |each| estimate(by_range, each).working }

      # In the class's range; where not enough was heard there, in the nearest range before it.
      def rung_for(by_range, operation, range)
        heard = heard_by(by_range, range) or return
        from = estimate(by_range, heard).aim_from or return

        Progress::NextProblems.aim(from, operation, heard, year: year)
      end
    end
  end
end
