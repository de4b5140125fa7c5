# frozen_string_literal: true

module Rungs
  module Planning
    # What parts a day has, and how the class's time is shared among them (guide 11).
    #
    #   Shape.roles(0, of: 5, minutes: 25)                       # => [:warm_up, :focus, :story, :practise]
    #   Shape.minutes(%i[warm_up focus], of: 12, year: "first")  # => { warm_up: 3, focus: 9 }
    module Shape
      # Minutes by the place in a day. A check is beside practising: it takes none of its own.
      SPANS = { warm_up: 3..5, focus: 7..10, story: 7..10, practise: 5..7, check: 0..0, look_back: 3..5 }.freeze
      YOUNGEST_FOCUS = (7..8)
      # What takes what is left of the time, in turn.
      LONGER = %i[focus story practise warm_up look_back].freeze
      # With so many minutes a day has all parts; with fewer than the second the focus beside the warm-up, with fewer
      # than the third it alone.
      WHOLE = 25
      SHORT = 15
      SHORTEST = 10
      # What may be left over; more is for games in pairs.
      NEAR = 3
      # Days that end with the check, in weeks of more than two.
      CHECKED = 2

      module_function

      # @param index [Integer] which day of the week, from 0
      # @param of [Integer] how many days there are
      # @param checked [Boolean] whether there is a check in this week
      # @return [Array<Symbol>]
      def roles(index, of:, minutes:, checked: true)
        late = of > CHECKED && index >= of - CHECKED
        [(:warm_up if minutes >= SHORTEST), *middle(index, minutes, late), (:check if late && checked),
         (:look_back if of > CHECKED && index == of - 1)].compact
      end

      # @return [Hash{Symbol => Integer}] by place, with :games for what is left over
      def minutes(roles, of:, year:)
        spans = SPANS.merge(year == "kindergarten" ? { focus: YOUNGEST_FOCUS } : {})
        given = roles.to_h { |role| [role, spans.fetch(role).min] }
        (LONGER & roles).each { |role| given[role] += (of - given.values.sum).clamp(0, spans.fetch(role).size - 1) }
        rest = of - given.values.sum
        rest > NEAR ? given.merge(games: rest) : given
      end

      # The usual parts in another time, each with its share of it.
      # @param minutes [Array<Integer>] as they usually are
      # @param of [Integer] the time there is
      # @return [Array<Integer>] a minute each at least
      def shared(minutes, of:)
        shares = minutes.map { |each| [each * of / minutes.sum, 1].max }
        longest = minutes.each_index.sort_by { |place| [-minutes[place], place] }
        longest.cycle.first([of - shares.sum, 0].max).each { |place| shares[place] += 1 }
        shares
      end

      # Where there is no time for all, story and practising take turns; practising goes before on days with a check.
      def middle(index, minutes, late)
        return %i[focus story practise] if minutes >= WHOLE
        return [:focus] if minutes < SHORT

        [:focus, late || index.odd? ? :practise : :story]
      end
      private_class_method :middle
    end
  end
end
