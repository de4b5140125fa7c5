# frozen_string_literal: true

module Rungs
  module Planning
    class ProposedWeek
      # What there is to choose from, with what the class is like and has met: for one aim after the other, each made
      # once.
      class Choice
        attr_reader :aim, :candidates, :standing, :memory, :times_told

        # As a ProposedWeek takes them.
        # @param other [Standing, nil] of the other operation
        # @param days [Integer] of the week
        def initialize(standing:, other:, memory:, times_told:, wrong:, has:, without:, settings:, days:)
          @standing = standing
          @other = other
          @memory = memory
          @times_told = times_told
          @wrong = wrong
          @days = days
          @has = has
          @without = without
          @settings = settings
          @aims, @kinds = {}, {}
        end

        # @param aim [Aim]
        # @param things [Boolean] whether it is all done with things and pictures
        # @return [Choice] the same class, for this aim
        def for(aim, things: false) = @aims[[aim, things]] ||= dup.tap { |each| each.aim_at(aim, things) }

        # @return [Standing, nil] in an operation
        def standing_in(operation) = [standing, @other].compact.find { |each| each.operation == operation }

        # Facts that half of the class knows, as problems.
        def by_heart
          @by_heart ||= standing.known_by_half(aim.range).map do |fact|
            aim.operation == "add" ? fact.sort.reverse : [fact[1], fact[0] - fact[1]]
          end.map { |pair| Problem::Pool.bare(aim.operation, *pair) }
        end

        # @param candidate [Candidate]
        def wanted?(candidate) = !@without.include?(candidate.key)

        # @return [Array] what of these things is new; nothing is while children are got to know
        def new_of(things) = standing.unheard? ? [] : memory.new_of(things)

        # @return [Activity::Kind] made once, since some make all there is of their items
        def kind(candidate)
          settings = { **@settings, operation: aim.operation }
          @kinds[[candidate.kind.id, candidate.options,
                  aim.operation]] ||= candidate.kind.with(candidate.options, settings)
        end

        # An invented child who makes a slip, on numbers for the aim; nothing where that cannot be.
        # @param slip [SharedSlip]
        # @return [Array(Candidates::Candidate, Array<Hash>), nil]
        def invented(slip, random)
          candidate = Candidates::Candidate.new(kind: TOLD, options: { **TOLD.sets_for(aim).first, "form" => SLIPPED })
          return unless aim.operation == "add" && TOLD.suits.aim?(aim) && wanted?(candidate)

          items = kind(candidate).then do |made|
            slipping(slip.id, random).select { |asked, found| made.slips_on?(asked, found) }.first(TOLD.usual)
                                     .map { |asked, found| made.slipped_on(asked, found, random) }
          end
          [candidate, items] if items.any?
        end

        def fitting = @fitting ||= Fitting.new(aim, memory)
        def reasons = @reasons ||= Reasons.new(standing, aim, memory, news: @things)
        def book = @settings[:book]&.call || Problem::Book::USUAL

        # What tells of an invented child, and how.
        TOLD = Activity::WhoseWay
        SLIPPED = "one_slipped"
        private_constant :TOLD, :SLIPPED

        # Problems for the aim, each with a slip that can come there.
        def slipping(id, random)
          facts = aim.band.telling_facts.shuffle(random: random).lazy.select { |fact| aim.fits?(fact) }
          asked = facts.map { |fact| Problem::Pool.bare(aim.operation, *fact.reverse) }
          asked.map { |problem| [problem, Slip.for(problem).find { |slip| slip.id == id }] }.select(&:last)
        end
        private :slipping

        protected

        # Where the class is, but not beyond the aim's range.
        def aim_at(aim, things)
          @aim = aim
          @things = things
          known = things || standing.unheard? ? [] : by_heart
          @candidates = Candidates.new(
            aim: aim, back_to: back_to, memory: memory, stories: stories, has: @has,
            focus: Focus.new(aim, memory, days: @days, signs: @settings[:signs]), things: things, by_heart: known
          )
        end

        private

        # The nearest range that is not new.
        def back_to
          there = Ranges.up_to(Ranges.nearer(aim.range, standing.range))
          there.find { |range| !standing.new_to?(range) } || there.first
        end

        # The other operation has numbers of its own, never beyond those of the week.
        def stories
          other = @other ? Ranges.nearer(@other.range, aim.range) : aim.range
          Stories.new(operation: aim.operation, year: standing.year, times_told: times_told, wrong: @wrong,
                      other_range: other, compared: -> { memory.known?(Activity::ALL.fetch(Stories::COMPARED)) })
        end
      end
    end
  end
end
