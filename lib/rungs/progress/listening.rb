# frozen_string_literal: true

module Rungs
  module Progress
    # Whom to listen to next: longest unheard first (of equals, fewest records, then name), each with the reason.
    module Listening
      # child: anything the caller knows the child by. last: Date last heard, or nil. records: how many so far.
      Child = Struct.new(:child, :name, :last, :records, keyword_init: true)
      # reason: the end of a sentence that begins with the name.
      Turn = Struct.new(:child, :name, :reason, keyword_init: true)

      module_function

      # @param children [Array<Child>] those present
      # @param on [Date]
      # @param places [Integer] how many can be heard
      # @return [Array<Turn>]
      def turns(children, on:, places:)
        in_turn = children.sort_by { |each| [each.last ? each.last.jd : 0, each.records, each.name] }
        in_turn.first(places).map { |each| Turn.new(child: each.child, name: each.name, reason: reason(each, on)) }
      end

      def reason(child, on)
        return "has not been heard yet" unless child.last

        days = school_days(child.last, on)
        return "was heard today" if days.zero?

        "has not been heard for #{days == 1 ? '1 school day' : "#{days} school days"}"
      end

      # @return [Integer] Mondays to Fridays after one day, up to and with another
      def school_days(from, to) = ((from + 1)..to).count { |day| (1..5).cover?(day.wday) }
    end
  end
end
