# frozen_string_literal: true

module Rungs
  module Planning
    class ProposedWeek
      # What there is to choose from, with what the class is like and has met: for one aim after the other, each made
      # once.
      class Choice
        attr_reader :aim, :candidates, :standing, :memory, :told

        # As a ProposedWeek takes them.
        def initialize(standing:, memory:, slips:, told:, has:, without:, settings:)
          @standing = standing
          @memory = memory
          @slips = slips.map(&:id)
          @told = told
          @has = has
          @without = without
          @settings = settings
          @aims, @kinds = {}, {}
        end

        # @param aim [Aim]
        # @return [Choice] the same class, for this aim
        def for(aim) = @aims[aim] ||= dup.tap { |each| each.aim_at(aim) }

        # @param candidate [Candidate]
        def wanted?(candidate) = !@without.include?(candidate.key)

        # @return [Array] what of these things is new; nothing is while children are got to know
        def new_of(things) = standing.unheard? ? [] : memory.new_of(things)

        # @return [Activity::Kind] made once, since some make all there is of their items
        def kind(candidate)
          @kinds[[candidate.kind.id, candidate.options]] ||= candidate.kind.with(candidate.options, @settings)
        end

        def fitting = @fitting ||= Fitting.new(aim, memory)
        def reasons = @reasons ||= Reasons.new(standing, aim, memory)
        def book = @settings[:book]&.call || Problem::Book::USUAL

        protected

        # Where the class is, but not beyond the aim's range.
        def aim_at(aim)
          @aim = aim
          @candidates = Candidates.new(
            aim: aim, back_to: [aim.range, standing.range].min_by { |range| Ranges.place(range) }, memory: memory,
            stories: Stories.new(operation: aim.operation, year: standing.year, told: told), slips: @slips, has: @has
          )
        end
      end
    end
  end
end
