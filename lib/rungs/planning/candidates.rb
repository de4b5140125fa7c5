# frozen_string_literal: true

module Rungs
  module Planning
    # What may take a place in a day, the best first (guide 11).
    class Candidates
      # An activity with choices for it.
      Candidate = Struct.new(:kind, :options, keyword_init: true) do
        # What it is called where it was exchanged and is not wanted again.
        def key = [kind.id, options["situation"]].compact.join(" ")
      end

      # @param activity [Class]
      # @return [Symbol] the place in a day of what a teacher put there
      def self.role_of(activity) = activity == Activity::POSED ? :story : activity.roles.first || :focus

      # With so many known ones for an aim a new one waits.
      ENOUGH = 3

      # @param aim [Aim]
      # @param back_to [String] the range that a warm-up goes back to
      # @param memory [Memory]
      # @param stories [Stories]
      # @param slips [Array<String>] ids of slips of late, commonest first
      # @param has [Array<String>, nil] things on the class's shelf; nil where that is not known
      def initialize(aim:, back_to:, memory:, stories:, slips:, has:)
        @aim = aim
        @back_to = back_to
        @memory = memory
        @stories = stories
        @slips = slips
        @has = has
      end

      # @param role [Symbol]
      # @param story [Array(Integer, Integer)] which story of the week it would be, and of how many
      # @param focus [Candidate, nil] what was the focus before, which comes again
      # @param date [Date]
      # @param random [Random]
      # @return [Array<Candidate>]
      def for(role, story:, focus:, date:, random:)
        case role
        when :warm_up then below(in_turn(known(:warm_up), random))
        when :focus then [focus, *fitting(random)].compact
        when :story then @stories.for(story[0], of: story[1]).map { |id| telling(id) }
        when :look_back then [*aimed(known(:look_back)), focus].compact
        else practised(date, random) + [focus].compact
        end
      end

      # Those for the aim of whose items a slip is made, in turn.
      def bringing_out(slip, random)
        aimed(in_turn(Activity::ALL.select { |kind| kind.slips.include?(slip) && kind.suits.aim?(@aim) }, random))
      end

      # The same for a warm-up, with numbers that are known.
      def warming_up_for(slip, random)
        kinds = Activity::ALL.select { |kind| kind.slips.include?(slip) && @memory.known?(kind) }
        below(in_turn(kinds, random))
      end

      private

      def telling(situation)
        Candidate.new(kind: Activity::POSED, options: { "situation" => situation, "band" => @aim.range })
      end

      # What is on the shelf before what is not; what is a focus alone before what has another place too; new ones last
      # where some are known; by the slips they bring out; those that were done longest ago, or never, first.
      def fitting(random)
        kinds = Activity::ALL.select { |kind| kind.suits.aim?(@aim) }
        enough = kinds.count { |kind| kind.roles.empty? && @memory.known?(kind) } >= ENOUGH
        sorted = in_turn(kinds, random).sort_by.with_index do |kind, index|
          [lacks?(kind) ? 1 : 0, kind.roles.size, enough && !@memory.known?(kind) ? 1 : 0,
           -(kind.slips & @slips).size, index]
        end
        aimed(sorted)
      end

      # What is due again comes first, then games, then what is known.
      def practised(date, random)
        due, known = fitting(random).select { |each| @memory.known?(each.kind) }
                                    .partition { |each| @memory.due(each.kind, date) }
        due + games(random) + known
      end

      # What is thrown and dealt is added.
      def games(random) = @aim.operation == "add" ? aimed(in_turn(known(:practise), random)) : []

      def aimed(kinds)
        kinds.flat_map { |kind| kind.sets_for(@aim).map { |set| Candidate.new(kind: kind, options: set) } }
      end

      # In the range where the class is, or below.
      def below(kinds)
        ranges = Ranges.up_to(@back_to)
        kinds.flat_map do |kind|
          ranges.map { |range| { **kind.fitted(band: range, operation: @aim.operation), **ranged(kind, range) } }.uniq
                .map { |set| Candidate.new(kind: kind, options: set) }
        end
      end

      def ranged(kind, range) = kind.ranged ? { "range" => range } : {}
      def known(role) = Activity::ALL.select { |kind| kind.roles.include?(role) && @memory.known?(kind) }
      def lacks?(kind) = !@has.nil? && (kind.materials.map(&:thing) - @has).any?

      # None twice before the others that fit: least in this week, then longest ago, then by lot.
      def in_turn(kinds, random)
        lots = kinds.to_h { |kind| [kind.id, random.rand] }
        kinds.sort_by { |kind| [*@memory.turn(["activity", kind.id]), lots[kind.id]] }
      end
    end
  end
end
