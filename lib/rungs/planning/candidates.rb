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

      # @param aim [Aim]
      # @param back_to [String] the range that a warm-up goes back to
      # @param memory [Memory]
      # @param stories [Stories]
      # @param focus [Focus]
      # @param has [Array<String>, nil] things on the class's shelf; nil where that is not known
      # @param things [Boolean] whether it is all done with things and pictures, since the numbers are new
      # @param by_heart [Array<Array<Integer>>] the facts that half of the class knows
      def initialize(aim:, back_to:, memory:, stories:, focus:, has:, things: false, by_heart: [])
        @aim = aim
        @back_to = back_to
        @memory = memory
        @stories = stories
        @focus = focus
        @has = has
        @things = things
        @by_heart = by_heart
      end

      # @param role [Symbol]
      # @param story [Array(Integer, Integer)] which story of the week it would be, and of how many
      # @param focus [Candidate, nil] what is the focus, or was it the day before
      # @param stayed [Integer] for how many days that has been
      # @param date [Date]
      # @param random [Random]
      # @return [Array<Candidate>]
      def for(role, story:, focus:, stayed:, date:, random:)
        case role
        when :warm_up then below(in_turn(known(:warm_up), random))
        when :focus then on_shelf(@focus.for(date, now: focus, stayed: stayed))
        when :story then @stories.for(story[0], of: story[1]).map { |id| telling(id) }
        when :look_back then [*talked(known(:look_back)), *practised(date, random), focus].compact
        else practised(date, random) + [focus].compact
        end
      end

      def picture(candidate) = @focus.picture(candidate)

      # Whether a focus goes on to the next after so many days.
      def over?(stayed) = @focus.over?(stayed)

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

      # A situation; or what comes before it, an activity by itself.
      def telling(id)
        return aimed([Activity::ALL.fetch(id)]).first if Activity::ALL.key?(id)

        operation = Problem::Situation::ALL.fetch(id).operation
        band = operation == @aim.operation || id.end_with?(".both") ? @aim.range : @stories.other_range
        Candidate.new(kind: Activity::POSED, options: { "situation" => id, "band" => band })
      end

      # What is on the shelf before what is not; with new numbers things and pictures alone.
      def on_shelf(candidates)
        there = @things ? candidates.select { |each| each.kind.materials.any? } : candidates
        there.partition { |each| !lacks?(each.kind) }.flatten(1)
      end

      # What is due again comes first, then games, then what is known; each with things.
      def practised(date, random)
        kinds = in_turn(Activity::ALL.select { |kind| kind.suits.aim?(@aim) && @memory.known?(kind) }, random)
        due, known = kinds.partition { |kind| @memory.due(kind, date) }
        on_shelf(aimed(due) + games(random) + aimed(known)).select { |each| each.kind.materials.any? }
      end

      # What is thrown and dealt is added.
      def games(random) = @aim.operation == "add" ? aimed(in_turn(known(:practise), random)) : []

      # For the aim, else with smaller numbers.
      def talked(kinds) = aimed(kinds) + below(kinds)

      def aimed(kinds)
        kinds.flat_map { |kind| kind.sets_for(@aim).map { |set| Candidate.new(kind: kind, options: set) } }
      end

      # In the range where the class is, or below; by heart only what half of the class knows.
      def below(kinds)
        ranges = Ranges.up_to(@back_to)
        kinds.flat_map do |kind|
          ranges.map { |range| { **kind.fitted(band: range, operation: @aim.operation), **ranged(kind, range) } }.uniq
                .map { |set| Candidate.new(kind: kind, options: set) }
        end
      end

      def ranged(kind, range) = kind.ranged ? { "range" => range } : {}

      def known(role)
        Activity::ALL.select { |kind| kind.roles.include?(role) && @memory.known?(kind) && sure?(kind) }
      end

      def sure?(kind) = kind != Activity::PRACTISED || @by_heart.size >= Fitting::LEAST
      def lacks?(kind) = !@has.nil? && (kind.materials.map(&:thing) - @has).any?

      # None twice before the others that fit: least in this week, then longest ago, then by lot.
      def in_turn(kinds, random)
        lots = kinds.to_h { |kind| [kind.id, random.rand] }
        kinds.sort_by { |kind| [*@memory.turn(["activity", kind.id]), lots[kind.id]] }
      end
    end
  end
end
