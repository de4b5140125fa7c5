# frozen_string_literal: true

module Rungs
  module Progress
    module Groups
      # Finds the best split. What it costs is bounded in steps, not by a clock: it tries so many placements, and then
      # the best so far is taken. It ends sooner as soon as it has what would be best with nobody to keep apart, which
      # it nearly always finds.
      class Search
        MOST_TRIED = 2_000

        # @param members [Array<Member>]
        # @param sizes [Range<Integer>]
        # @param apart [Array<Array>] pairs of children
        # @raise [Error::NotAProblem] where so many do not go into groups of these sizes
        def initialize(members, sizes, apart)
          @sizes = sizes
          middle = Groups.middle(members)
          @levels = members.to_h { |member| [member, member.rung || middle] }.compare_by_identity
          @enemies = apart.each_with_object(Hash.new { |all, child| all[child] = [] }) do |(one, other), all|
            all[one] |= [other] - [one]
            all[other] |= [one] - [other]
          end
          # Lowest first; of equals, those with somebody to be apart from first.
          @members = members.sort_by.with_index { |member, index| [level(member), -pairs_of(member), index] }
          check
        end

        # @return [Array<Array<Member>>]
        def best
          @best, @least, @tried = nil, [Float::INFINITY, 0], 0
          numbers = (fewest..(@members.size / @sizes.min)).to_a
          runs = Runs.new(@members.map { |member| level(member) }, @sizes, numbers.last)
          numbers.sort_by { |number| [runs.least(number), number] }.each { |number| try(number, runs) }
          @best || refuse("no split into groups of #{@sizes.min} to #{@sizes.max} keeps those pairs apart")
        end

        # @return [Integer] placements that were tried
        attr_reader :tried

        def level(member) = @levels[member]
        def cost(group) = group.empty? ? 0.0 : Groups.spread(levels(group))
        def enemies?(one, other) = @enemies.key?(one.child) && @enemies[one.child].include?(other.child)

        private

        # So many groups: what would be best with nobody kept apart, else that with pairs changed over, and what is
        # nearer still.
        def try(number, runs)
          @target = [runs.least(number), number]
          return unless (@target <=> @least).negative?

          start = runs.sizes(number)&.then { |sizes| cut(sizes) }
          return take(start) if start && swapped_apart(start)

          mended = start && Repair.new(start, self).call
          take(mended) if mended && nearer?(mended)
          search(Array.new(number) { [] }, 0)
        end

        def cut(sizes)
          rest = @members.dup
          sizes.map { |size| rest.shift(size) }
        end

        def nearer?(groups) = ([groups.sum { |group| cost(group) }.round(9), groups.size] <=> @least).negative?

        def pairs_of(member) = @enemies.key?(member.child) ? @enemies[member.child].size : 0

        # The fewest groups there can be.
        def fewest = @members.size.fdiv(@sizes.max).ceil

        def check
          refuse("there is nobody to group") if @members.empty?
          refuse("a group has at least one child") unless @sizes.min.to_i.positive?
          return if fewest * @sizes.min <= @members.size

          children = @members.size == 1 ? "1 child does" : "#{@members.size} children do"
          refuse("#{children} not go into groups of #{@sizes.min} to #{@sizes.max}")
        end

        # Places the members in turn; a branch that cannot beat the best any more is left.
        def search(groups, place)
          return if @least == @target || (@tried += 1) > MOST_TRIED
          return if cannot_win?(groups, place)
          return take(groups) if place == @members.size

          member = @members[place]
          choices(groups, member).each do |group|
            group << member
            search(groups, place + 1)
            group.pop
          end
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
          staying = group - [member]
          groups.reject { |other| other.equal?(group) || other.any? { |each| enemies?(each, member) } }.each do |other|
            partner = other.find do |each|
              level(each) == level(member) && staying.none? do |left|
                enemies?(left, each)
              end
            end or next
            group[group.index(member)], other[other.index(partner)] = partner, member
            return true
          end
          false
        end

        # Fullest of the nearest first; groups that look alike are one choice.
        def choices(groups, member)
          open = groups.reject { |group| group.size == @sizes.max || group.any? { |other| enemies?(member, other) } }
          open = open.uniq { |group| [levels(group), group.select { |other| pairs_of(other).positive? }.map(&:child)] }
          open.sort_by { |group| [group.empty? ? 0.5 : cost([*group, member]) - cost(group), -group.size] }
        end

        def levels(group) = group.map { |member| level(member) }

        # What is placed never gets nearer; groups too small must still take members at least as far up as the next.
        def cannot_win?(groups, place)
          missing = groups.sum { |group| [@sizes.min - group.size, 0].max }
          left = @members.size - place
          return true if missing > left || groups.sum { |group| @sizes.max - group.size } < left

          following = place < @members.size ? level(@members[place]) : nil
          least = groups.reject(&:empty?).sum { |group| least_cost(group, following) }
          ([least.round(9), groups.size] <=> @least) >= 0
        end

        def least_cost(group, following)
          Groups.spread(levels(group) + ([following] * [@sizes.min - group.size, 0].max))
        end

        def take(groups)
          @best = groups.map(&:dup).sort_by { |group| [levels(group).sum.fdiv(group.size), group.first.child] }
          @least = [groups.sum { |group| cost(group) }.round(9), groups.size]
        end

        def refuse(reason) = raise(Error::NotAProblem, reason)
      end
    end
  end
end
