# frozen_string_literal: true

module Rungs
  module Progress
    # Whom to listen to (guide 10). Of the places of a day at least half go to those unheard longest; the rest to those
    # of whom an answer would tell most. So every child present is heard at least once in ceil(n / ceil(places / 2))
    # school days.
    module Listening
      # child: anything the caller knows the child by. last: Date last heard, or nil. records: how many so far.
      # estimate: where the work is now, or nil. slip: what was said wrong twice, in words, or nil.
      Child = Struct.new(:child, :name, :last, :records, :estimate, :slip, keyword_init: true)

      # reason: the rest of a sentence that begins with the name, without its stop.
      Turn = Struct.new(:child, :name, :reason, keyword_init: true) do
        include With

        # @return [String] the reason with its stop
        def because = reason.end_with?("?") ? reason : "#{reason}."
      end
      # One day of a plan. turns: Array<Turn>.
      Day = Struct.new(:date, :turns, keyword_init: true)

      # What makes an answer useful, most useful first: whether it is so of a child, how urgent among those alike, and
      # the reason.
      Need = Struct.new(:applies, :urgency, :reason, keyword_init: true)
      NEEDS = [
        Need.new(applies: ->(each) { each.estimate && !each.estimate.enough? }, urgency: :records.to_proc,
                 reason: ->(_) { "has not been heard enough with these numbers" }),
        Need.new(applies: ->(each) { each.estimate && each.estimate.confidence < each.estimate.rule.secure_confidence },
                 urgency: ->(each) { each.estimate.confidence },
                 reason: ->(_) { "is not clear yet: one more answer helps" }),
        Need.new(applies: ->(each) { each.estimate&.emerging }, urgency: :records.to_proc,
                 reason: lambda { |each|
                   "has shown #{Strategy::Rung.at(each.estimate.emerging).doing}: is it there again?"
                 }),
        Need.new(applies: :slip.to_proc, urgency: :records.to_proc, reason: lambda { |each|
          "has slipped twice: #{each.slip}"
        })
      ].freeze

      module_function

      # @param children [Array<Child>] those present
      # @param on [Date]
      # @param places [Integer] how many can be heard
      # @return [Array<Turn>] the longest unheard first
      def turns(children, on:, places:)
        in_turn = children.sort_by { |each| [each.last ? each.last.jd : 0, each.records, each.name] }
        waiting = in_turn.first((places + 1) / 2)
        useful = most_useful(in_turn, waiting, places - waiting.size)
        rest = (in_turn - waiting - useful.map(&:first)).first(places - waiting.size - useful.size)
        waiting.map { |each| turn(each, unheard(each, on)) } +
          useful.map { |each, need| turn(each, need.reason.call(each)) } +
          rest.map { |each| turn(each, unheard(each, on)) }
      end

      # A day's list shared out among those who listen: as many each, a child to whom has heard that child less.
      # @param children [Array] in turn, as the caller knows them
      # @param heard [Hash{Object => Hash{Object => Integer}}] by who listens, how often each child was heard
      # @return [Hash{Object => Object}] by child, who listens
      def shared(children, heard)
        shares = children.zip(heard.keys.cycle).to_h
        loop do
          one, two = children.combination(2).find { |pair| gain(*pair, shares, heard).positive? } || (return shares)
          shares[one], shares[two] = shares[two], shares[one]
        end
      end

      # By how much less often they would have been heard, if two changed hands.
      def gain(one, two, shares, heard)
        often = ->(child, whose) { heard[shares[whose]].fetch(child, 0) }
        often[one, one] + often[two, two] - often[one, two] - often[two, one]
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

      # @return [Array<Array(Child, Need)>] of those not waiting longest, the most useful to hear
      def most_useful(in_turn, waiting, places)
        useful = (in_turn - waiting).filter_map { |each| need(each)&.then { |need| [each, need] } }
        useful.sort_by { |each, need| [NEEDS.index(need), need.urgency.call(each), in_turn.index(each)] }.first(places)
      end

      # What would then be known is not: a child heard in a plan is not planned again for the same need.
      def heard_on(date, child)
        Child.new(**child.to_h, last: date, records: child.records + 1, estimate: nil, slip: nil)
      end

      def need(child) = NEEDS.find { |each| each.applies.call(child) }
      def turn(child, reason) = Turn.new(child: child.child, name: child.name, reason: reason)

      def unheard(child, on)
        return "has not been heard yet" unless child.last

        return "was heard today" if child.last >= on
        return "was last heard on #{child.last.strftime('%A')}" if on - child.last < 7

        "has not been heard for #{SchoolDays.between(child.last, on)} school days"
      end

      private_class_method :gain, :most_useful, :heard_on, :need, :turn, :unheard
    end
  end
end
