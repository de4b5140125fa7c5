# frozen_string_literal: true

module Rungs
  module Progress
    # Whom to listen to (field guide 10). Of the places of a day at least half go to those unheard longest; the rest to those
    # of whom an answer would tell most. So every child present is heard at least once in ceil(n / ceil(places / 2)) school days.
    module Listening
      # child: anything the caller knows the child by. last: Date last heard, or nil. records: how many so far.
      # estimate: where the work is now, or nil. slip: what was said wrong twice, in words, or nil.
      Child = Struct.new(:child, :name, :last, :records, :estimate, :slip, keyword_init: true)
      # reason: the end of a sentence that begins with the name.
      Turn = Struct.new(:child, :name, :reason, keyword_init: true)
      # One day of a plan. turns: Array<Turn>.
      Day = Struct.new(:date, :turns, keyword_init: true)

      # What makes an answer useful, most useful first: whether it is so of a child, how urgent among those alike, and the reason.
      Need = Struct.new(:applies, :urgency, :reason)
      NEEDS = [
        Need.new(->(each) { each.estimate && !each.estimate.enough? }, :records.to_proc, ->(_) { "has not been heard enough with these numbers" }),
        Need.new(->(each) { each.estimate && each.estimate.confidence < each.estimate.rule.secure_confidence }, ->(each) { each.estimate.confidence },
                 ->(each) { "is one we are not sure about yet (#{format('%.2f', each.estimate.confidence)})" }),
        Need.new(->(each) { each.estimate&.emerging }, :records.to_proc, ->(each) { "has shown #{Strategy::Rung.at(each.estimate.emerging).doing}: is it there again?" }),
        Need.new(:slip.to_proc, :records.to_proc, ->(each) { "has slipped twice: #{each.slip}" })
      ].freeze

      module_function

      # @param children [Array<Child>] those present
      # @param on [Date]
      # @param places [Integer] how many can be heard
      # @return [Array<Turn>] the longest unheard first
      def turns(children, on:, places:)
        in_turn = children.sort_by { |each| [each.last ? each.last.jd : 0, each.records, each.name] }
        waiting = in_turn.first((places + 1) / 2)
        useful = in_turn.drop(waiting.size).filter_map { |each| need(each)&.then { |need| [each, need] } }
        useful = useful.sort_by { |each, need| [NEEDS.index(need), need.urgency.call(each), in_turn.index(each)] }.first(places - waiting.size)
        rest = (in_turn - waiting - useful.map(&:first)).first(places - waiting.size - useful.size)
        waiting.map { |each| turn(each, unheard(each, on)) } + useful.map { |each, need| turn(each, need.reason.call(each)) } + rest.map { |each| turn(each, unheard(each, on)) }
      end

      # The coming days, as if each day's list were heard on it. A child who is away keeps the turn.
      # @param days [Array<Date>]
      # @param absent [Hash{Date => Array}] by day, those away (as child names them)
      # @return [Array<Day>]
      def plan(children, days:, places:, absent: {})
        days.map do |date|
          away = absent.fetch(date, [])
          list = turns(children.reject { |each| away.include?(each.child) }, on: date, places: places)
          heard = list.map(&:child)
          children = children.map { |each| heard.include?(each.child) ? heard_on(date, each) : each }
          Day.new(date: date, turns: list)
        end
      end

      # What would then be known is not: a child heard in a plan is not planned again for the same need.
      def heard_on(date, child) = Child.new(**child.to_h, last: date, records: child.records + 1, estimate: nil, slip: nil)
      def need(child) = NEEDS.find { |each| each.applies.call(child) }
      def turn(child, reason) = Turn.new(child: child.child, name: child.name, reason: reason)

      def unheard(child, on)
        return "has not been heard yet" unless child.last

        days = school_days(child.last, on)
        return "was heard today" if days.zero?

        "has not been heard for #{days == 1 ? '1 school day' : "#{days} school days"}"
      end

      # @return [Integer] Mondays to Fridays after one day, up to and with another
      def school_days(from, to) = ((from + 1)..to).count { |day| (1..5).cover?(day.wday) }

      private_class_method :heard_on, :need, :turn, :unheard
    end
  end
end
