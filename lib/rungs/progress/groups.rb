# frozen_string_literal: true

module Rungs
  module Progress
    # Children with the nearest rungs together: of all splits into groups of the sizes given, with the pairs that must
    # be apart apart, one with the least total squared distance to the group's mean; of those, one with the fewest
    # groups (guide 10).
    #
    #   Groups.best([Groups::Member.new(child: "Ada", rung: 2), …], sizes: 3..5, apart: [%w[Ada Bo]])
    module Groups
      Rungs.shelve self

      # child: anything. rung: 1..5; nil where not enough was heard, which counts as the middle of the others.
      Member = Struct.new(:child, :rung, keyword_init: true)
      # who: Array<Member>. aim: the rung to work towards, 2 to 4; nil where there is none to pose for. reason: a
      # sentence without its stop. heading: what the group works on; no two of a split are alike.
      Group = Struct.new(:who, :aim, :reason, :heading, keyword_init: true)

      # What a group does where there is no aim to pose for, and where nobody of it was heard enough; how a second one
      # does the same otherwise.
      BESIDE = ["Another way, a story", "A missing part", "Both sides the same", "The next ten"].freeze
      UNHEARD = ["A check-in each", "One story, heard in turn", "Quick looks, heard in turn"].freeze
      OTHERWISE = ["with a story", "on a line", "with things", "in pairs", "on paper"].freeze

      module_function

      # @param members [Array<Member>]
      # @param sizes [Range<Integer>]
      # @param apart [Array<Array>] pairs of children
      # @return [Array<Array<Member>>] the lowest rungs first
      # @raise [Error::NotAProblem] where there is no such split
      def best(members, sizes:, apart: []) = Search.new(members, sizes, apart).best

      # @param groups [Array<Array<Member>>]
      # @return [Float] total squared distance to each group's mean
      def distance(groups)
        middle = middle(groups.flatten)
        groups.sum { |group| spread(group.map { |member| member.rung || middle }) }
      end

      # @param levels [Array<Numeric>] at least one
      # @return [Float] squared distance to their mean
      def spread(levels) = levels.sum { |level| level * level } - ((levels.sum**2) / levels.size.to_f)

      def middle(members) = members.filter_map(&:rung).sort.then { |levels| levels[levels.size / 2] || 3 }

      # A split as it stands, each group with its aim and what it does: what is next where most of it works.
      # @param groups [Array<Array<Member>>]
      # @param operation ["add", "subtract"]
      # @param band [String]
      # @param year ["first", "kindergarten"]
      # @return [Array<Group>]
      def with_aims(groups, operation:, band:, year: "first")
        groups.each_with_object([]) do |members, made|
          made << group(members, operation, band, year, made.map(&:heading))
        end
      end

      def group(members, operation, band, year, taken)
        known = members.filter_map(&:rung)
        most = known.tally.max_by { |rung, count| [count, -rung] }&.first
        Group.new(who: members, aim: NextProblems.aim(most, operation, band, year: year),
                  heading: heading(most, NextProblems.practised(most, operation, band), taken),
                  reason: reason(known, members.size - known.size, Problem::Band::ALL.fetch(band).rungs))
      end

      def reason(known, unheard, rungs)
        there = known.tally.sort.map do |rung, count|
          "#{count} on #{Strategy::Rung.word(rung, among: rungs) { |each| each.title.downcase }}"
        end
        there << "#{unheard} not heard enough, put in the middle" if unheard.positive?
        there.join(", ")
      end

      # What the group does, in a few words: the first thing that no other group does; where there is none, the same in
      # another way once, then something beside it.
      def heading(most, practised, taken)
        own = practised if practised.any?
        own ||= most ? BESIDE : UNHEARD
        again, *otherwise = own.product(OTHERWISE).map { |thing, way| "#{thing}, #{way}" }
        [*own, again, *BESIDE, *otherwise].find { |name| !taken.include?(name) } || own.first
      end
      private_class_method :group, :reason, :heading
    end
  end
end
