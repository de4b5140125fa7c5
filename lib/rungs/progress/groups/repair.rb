# frozen_string_literal: true

module Rungs
  module Progress
    module Groups
      # A split in which pairs are together that must be apart, mended: always the change of two members that leaves the
      # fewest such pairs, of equals the nearest rungs, until there is none.
      class Repair
        # @param groups [Array<Array<Member>>]
        # @param search [Search] which knows who is apart from whom, and what a group costs
        def initialize(groups, search)
          @groups = groups.map(&:dup)
          @search = search
        end

        # @return [Array<Array<Member>>, nil] nil where no change leaves fewer
        def call
          @groups.flatten.size.times do
            return @groups unless (broken = first_broken)
            return unless (change = best_change(*broken))

            apply(*change)
          end
          nil
        end

        private

        def first_broken
          @groups.each do |group|
            member = group.find { |each| conflicts(group, each).positive? }
            return [group, member] if member
          end
          nil
        end

        def conflicts(group, member) = group.count { |other| @search.enemies?(member, other) }

        def best_change(group, member)
          others = @groups.reject { |other| other.equal?(group) }
          changes = others.flat_map { |other| other.map { |partner| [group, member, other, partner] } }
          weighed = changes.map { |change| [weigh(*change), change] }
          (fewer,), change = weighed.min_by(&:first)
          change if fewer&.negative?
        end

        # How many more such pairs there are after it, and how much further from each other the rungs are.
        def weigh(group, member, other, partner)
          mine, theirs = group - [member], other - [partner]
          made = conflicts(mine, partner) + conflicts(theirs, member)
          pairs = made - conflicts(mine, member) - conflicts(theirs, partner)
          further = @search.cost([*mine, partner]) + @search.cost([*theirs, member])
          [pairs, further - @search.cost(group) - @search.cost(other)]
        end

        def apply(group, member, other, partner)
          group[group.index(member)], other[other.index(partner)] = partner, member
        end
      end
    end
  end
end
