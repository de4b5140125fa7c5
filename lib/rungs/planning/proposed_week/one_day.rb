# frozen_string_literal: true

module Rungs
  module Planning
    class ProposedWeek
      # One day while it is made: the parts found so far say what may still come.
      class OneDay
        include BringingOut

        # What matters most is found first. Some may bring something new; some may take up the focus once more, on paper
        # or in talk, where nothing else is known.
        FIRST = %i[focus story practise games warm_up look_back check].freeze
        NEW = %i[focus story].freeze
        ONCE_MORE = %i[practise games look_back].freeze

        # focus: the Candidate that was it last. stayed: for how many days it has been. new_thing: what is new today, as
        # Novelty has things; nil where nothing is.
        attr_reader :focus, :stayed, :new_thing

        # @param date [Date]
        # @param choice [Choice] for its aim
        # @param check [Check, nil]
        # @param index [Integer] its place in the week
        # @param story [Array(Integer, Integer)] which story of the week it would have, and of how many
        # @param focus [Candidate, nil]
        # @param stayed [Integer]
        # @param kinds [Array<Class>] activities that it has already
        # @param new_allowed [Boolean]
        def initialize(date, choice:, check:, seed:, index:, story:, focus:, stayed:, kinds:, new_allowed:)
          @date = date
          @choice = choice
          @check = check
          @seed = seed
          @story = story
          @focus = focus
          @stayed = stayed
          @kinds = kinds.dup
          @new_allowed = new_allowed
          @random = Random.new((seed * 1009) + date.jd)
          @numbers = NumbersForAll.new(choice, names_seed: seed + index, random: @random)
        end

        # @param minutes [Hash{Symbol => Integer}] by role, in the order of the day
        # @param slips [Array<SharedSlip>] of which one is to be brought out
        # @return [Array<Part>]
        def parts(minutes, slips:)
          found = FIRST.select { |role| minutes.key?(role) }.to_h { |role| [role, part(role, minutes[role])] }
          bring_out(found, slips) if slips.any?
          found.values_at(*minutes.keys).compact
        end

        # The first that fits and brings nothing new where that may not be; with items that were not there of late, or
        # where there are none, with those.
        # @return [Part, nil]
        def part(role, minutes)
          return checked(minutes) if role == :check

          found = @choice.candidates.for(role, story: @story, focus: focus, stayed: stayed, date: @date,
                                               random: @random)
          first_set(found, role, minutes) || (first_set(found, role, minutes, new: true) if role == :focus)
        end

        private

        # Every day has a focus, if a new one.
        def first_set(found, role, minutes, new: false)
          in_order(found.select { |each| wanted?(each, role) }, role).each do |each, unlike|
            made = set(each, role, unlike, new: new) and return place(each, role, minutes, made)
          end
          nil
        end

        # Nothing twice on a day, but the focus once more to practise with other numbers.
        def wanted?(candidate, role)
          again = ONCE_MORE.include?(role) && candidate == focus
          @choice.wanted?(candidate) && (again || !@kinds.include?(candidate.kind))
        end

        # With items that were not there of late, else with those; a focus stays in its place, if with those, and takes
        # another place last.
        def in_order(found, role)
          return found.flat_map { |each| [[each, true], [each, false]] } if role == :focus

          found.partition { |each| each != focus }.flat_map do |some|
            [true, false].flat_map { |unlike| some.map { |each| [each, unlike] } }
          end
        end

        # @param unlike [Boolean] whether items of late are left out
        # @param new [Boolean] whether it may be new in any case
        # @return [Hash, nil] range, options, seed, items, and what is new; nil where it cannot be
        def set(candidate, role, unlike, new: false)
          options = candidate.options
          range = Activity::Ranged.of(options) || options["band"] || @choice.aim.range
          return known_by_half(range) if candidate.kind == Activity::PRACTISED

          things = Novelty.things(candidate.kind, options, situation: options["situation"])
          fresh = @choice.new_of(things)
          return if fresh.size > (new || may_be_new?(role) ? 1 : 0)

          made = @choice.kind(candidate)
          seed, items = @choice.fitting.draw(made, role, @random, unlike: unlike)
          return unless items

          { range: range, options: options, seed: seed, items: items, things: things, new_thing: fresh.first,
            **fixed_items(candidate.kind, made, items) }
        end

        # Items that are kept themselves: the numbers of a story for everybody, and ways of taking away.
        def fixed_items(kind, made, items)
          return @numbers.sets_and_items(made, items) if kind == Activity::POSED

          kind == Activity::WhoseWay && @choice.aim.operation == "subtract" ? { fixed: true } : {}
        end

        # By heart come only facts that half of the class knows.
        def known_by_half(range)
          asked = @choice.by_heart.sample(Activity::PRACTISED.usual, random: @random)
          { range: range, options: { "operation" => @choice.aim.operation }, seed: @seed, fixed: true,
            items: asked.map { |problem| Activity::PRACTISED.data_for(problem) }, new_thing: nil,
            things: Novelty.things(Activity::PRACTISED, {}) }
        end

        # No story is new on the day before the focus goes on to the next.
        def may_be_new?(role)
          @new_allowed && !new_thing && NEW.include?(role) && (role == :focus || !@choice.candidates.over?(stayed))
        end

        def place(candidate, role, minutes, made)
          kind, things = candidate.kind, made.delete(:things)
          times = @choice.times_told[candidate.options["situation"]]
          reason = reason(role, candidate, made, times)
          @choice.memory.remember(@date, kind, made[:items], things)
          @choice.times_told[candidate.options["situation"]] += 1 if candidate.options.key?("situation")
          stay(candidate) if role == :focus
          @kinds << kind
          @new_thing ||= made[:new_thing]
          Part.new(kind: kind, role: role == :games ? :practise : role, minutes: minutes, reason: reason, **made)
        end

        def stay(candidate)
          @stayed = candidate.kind == focus&.kind ? stayed + 1 : 1
          @focus = candidate
          @choice.memory.keep_focus(@date, candidate, @choice.candidates.picture(candidate))
        end

        def reason(role, candidate, made, times)
          says = @choice.reasons
          case role
          when :focus then says.focus(@choice.fitting.problems(@choice.kind(candidate), made[:items]))
          when :story then candidate.options.key?("situation") ? says.story(times, made[:sets]) : says.compared
          when :warm_up then says.warm_up(made[:range], made[:items].size)
          when :look_back then says.look_back
          else says.again(candidate.kind, @date, made[:items].size, today: candidate.kind == focus&.kind)
          end
        end

        # Everybody once on one of four like facts, beside what is practised.
        def checked(minutes)
          aim = @choice.aim
          items = @check.facts.map { |problem| Activity::POSED.data_for(problem, "") }
          options = Activity::POSED.fitted(band: aim.range, operation: aim.operation)
          Part.new(kind: Activity::POSED, role: :check, minutes: minutes, range: aim.range, options: options,
                   seed: @seed, items: items, reason: @choice.reasons.check(@check), sets: [], fixed: true)
        end
      end
    end
  end
end
