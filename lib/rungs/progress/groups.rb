# frozen_string_literal: true

module Rungs
  module Progress
    # Children with the nearest rungs together: of all splits into groups of the sizes given, with the pairs that must be apart
    # apart, one with the least total squared distance to the group's mean; of those, one with the fewest groups (field guide 10).
    #
    #   Groups.best([Groups::Member.new(child: "Ada", rung: 2), …], sizes: 3..5, apart: [%w[Ada Bo]])
    class Groups
      # child: anything. rung: 1..5; nil where not enough was heard, which counts as the middle of the others.
      Member = Struct.new(:child, :rung, keyword_init: true)
      # who: Array<Member>. aim: the rung to work towards, 2..5. reason: a sentence.
      Group = Struct.new(:who, :aim, :reason, keyword_init: true)

      # How many placements are tried before the best so far is taken. The search ends sooner as soon as it has what would be best
      # with nobody to keep apart, which it nearly always finds.
      MOST_TRIED = 60_000
      LEVELS = [1, 2, 3, 4, 5].freeze

      # @param members [Array<Member>]
      # @param sizes [Range<Integer>]
      # @param apart [Array<Array>] pairs of children
      # @param rungs [Array<Integer>] those that the numbers afford, as Band#rungs
      # @return [Array<Group>] the lowest rungs first
      # @raise [Error::NotAProblem] where there is no such split
      def self.best(members, sizes:, apart: [], rungs: LEVELS) = new(members, sizes, apart).best.map { |each| group(each, rungs: rungs) }

      # @param groups [Array<Array<Member>>]
      # @return [Float] total squared distance to each group's mean
      def self.distance(groups, middle: nil)
        middle ||= middle(groups.flatten)
        groups.sum { |group| spread(group.map { |member| member.rung || middle }) }
      end

      def self.spread(levels) = levels.sum { |level| level * level } - ((levels.sum**2) / levels.size.to_f)
      def self.middle(members) = members.filter_map(&:rung).sort.then { |levels| levels[levels.size / 2] || 3 }

      # A group as it stands, with its aim: the rung above where most of it works.
      def self.group(members, rungs: LEVELS)
        known = members.filter_map(&:rung)
        most = known.empty? ? 1 : known.tally.max_by { |rung, count| [count, -rung] }.first
        Group.new(who: members, aim: rungs.find { |rung| rung > most } || 5, reason: reason(known, members.size - known.size, rungs))
      end

      def self.reason(known, unheard, rungs)
        there = known.tally.sort.map { |rung, count| "#{count} on #{Strategy::Rung.told(rung, among: rungs) { |each| each.title.downcase }}" }
        there << "#{unheard} not heard enough, put in the middle" if unheard.positive?
        there.join(", ")
      end
      private_class_method :reason

      def initialize(members, sizes, apart)
        @sizes = sizes
        @middle = Groups.middle(members)
        @apart = apart
        # Lowest first; of equals, those with somebody to be apart from first.
        @members = members.sort_by.with_index { |member, index| [level(member), -pairs_of(member), index] }
        check
      end

      # @return [Array<Array<Member>>]
      def best
        @best, @least, @tried = nil, [Float::INFINITY, 0], 0
        numbers = (@members.size.fdiv(@sizes.max).ceil..(@members.size / @sizes.min)).to_h { |number| [number, least_of(number)] }
        numbers.sort_by { |number, (least, _)| [least, number] }.each do |number, (least, runs)|
          @target = [least, number]
          next unless (@target <=> @least).negative?

          runs && swapped_apart(runs) ? take(runs) : search(Array.new(number) { [] }, 0)
        end
        @best || refuse("no split into groups of #{@sizes.min} to #{@sizes.max} keeps those pairs apart")
      end

      private

      def level(member) = member.rung || @middle
      def pairs_of(member) = @apart.count { |pair| pair.include?(member.child) }
      def enemies?(one, other) = one != other && @apart.any? { |pair| pair.include?(one.child) && pair.include?(other.child) }

      def check
        refuse("there is nobody to group") if @members.empty?
        refuse("a group has at least one child") unless @sizes.min.to_i.positive?
        number = @members.size.fdiv(@sizes.max).ceil
        refuse("#{@members.size == 1 ? '1 child does' : "#{@members.size} children do"} not go into groups of #{@sizes.min} to #{@sizes.max}") if number * @sizes.min > @members.size
      end

      # Places the members in turn; a branch that cannot beat the best any more is left.
      def search(groups, place)
        return if @least == @target || ((@tried += 1) > MOST_TRIED && @best)
        return if cannot_win?(groups, place)
        return take(groups) if place == @members.size

        member = @members[place]
        choices(groups, member).each do |group|
          group << member
          search(groups, place + 1)
          group.pop
        end
      end

      # The least that so many groups can come to with nobody kept apart: then each group is a run of the members in order.
      # @return [Array(Float, Array<Array<Member>>)] and the runs; nil where there are none
      def least_of(number)
        ways = Array.new(@members.size + 1) { [Float::INFINITY, nil] }
        ways[0] = [0.0, []]
        number.times do
          ways = (0..@members.size).map do |to|
            longer = @sizes.select { |size| size <= to && ways[to - size][1] }.map { |size| [ways[to - size], @members[(to - size)...to]] }
            longer.map { |(least, runs), run| [least + cost(run), [*runs, run]] }.min_by(&:first) || [Float::INFINITY, nil]
          end
        end
        [ways.last[0].round(9), ways.last[1]&.map(&:dup)]
      end

      # Changes members of one rung over until no pair is together that must be apart.
      # @return [Boolean] whether that could be done
      def swapped_apart(groups)
        groups.each do |group|
          while (member = group.find { |each| group.any? { |other| enemies?(each, other) } })
            return false unless change_over(groups, group, member)
          end
        end
        true
      end

      def change_over(groups, group, member)
        groups.reject { |other| other.equal?(group) || other.any? { |each| enemies?(each, member) } }.each do |other|
          partner = other.find { |each| level(each) == level(member) && (group - [member]).none? { |left| enemies?(left, each) } } or next
          group[group.index(member)], other[other.index(partner)] = partner, member
          return true
        end
        false
      end

      # Fullest of the nearest first; groups that look alike are one choice.
      def choices(groups, member)
        open = groups.reject { |group| group.size == @sizes.max || group.any? { |other| enemies?(member, other) } }
        open = open.uniq { |group| [group.map { |other| level(other) }, group.select { |other| pairs_of(other).positive? }.map(&:child)] }
        open.sort_by { |group| [group.empty? ? 0.5 : Groups.spread(group.map { |other| level(other) } + [level(member)]) - cost(group), -group.size] }
      end

      def cost(group) = group.empty? ? 0.0 : Groups.spread(group.map { |member| level(member) })

      # What is placed never gets nearer; groups too small must still take members at least as far up as the next.
      def cannot_win?(groups, place)
        missing = groups.sum { |group| [@sizes.min - group.size, 0].max }
        left = @members.size - place
        return true if missing > left || groups.sum { |group| @sizes.max - group.size } < left

        following = place < @members.size ? level(@members[place]) : nil
        least = groups.sum { |group| group.empty? ? 0.0 : Groups.spread(group.map { |member| level(member) } + ([following] * [@sizes.min - group.size, 0].max)) }
        ([least.round(9), groups.size] <=> @least) >= 0
      end

      def take(groups)
        @best = groups.map(&:dup).sort_by { |group| [group.sum { |member| level(member) }.fdiv(group.size), group.first.child.to_s] }
        @least = [groups.sum { |group| cost(group) }.round(9), groups.size]
      end

      def refuse(reason) = raise(Error::NotAProblem, reason)
    end
  end
end
