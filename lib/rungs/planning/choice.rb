# frozen_string_literal: true

module Rungs
  module Planning
    # What may take a place in a day, the best first, and why.
    class Choice
      # An activity, with numbers and a situation for it, and why.
      Candidate = Struct.new(:kind, :at_work, :why, keyword_init: true) do
        # What it is called where it was exchanged and is not wanted again.
        def key = [kind.id, at_work[:situation]].compact.join(" ")

        # A part may be cut to three quarters of its usual time.
        def least = (kind.minutes * Rational(3, 4)).ceil
      end

      # What each range asks for, most first, as what a teacher wants to do.
      AIMS = {
        "to5" => %w[see parts put_together take_away equals doubles games],
        "to10" => %w[parts make_ten put_together take_away doubles equals games],
        "teens" => %w[tens put_together take_away equals games], "tens" => %w[tens equals games],
        "bridge" => %w[make_ten doubles put_together take_away equals games],
        "to20" => %w[tens make_ten equals take_away games], "to100" => %w[tens equals games]
      }.freeze
      # A warm-up is short.
      SHORT = 5
      FACTS = "Goes back over facts: which come by now?"

      # @param activity [Class]
      # @return [Symbol] the place in a day of what a teacher put there
      def self.role_of(activity)
        return :story if activity == Activity::POSED
        return :warm_up if activity.minutes <= SHORT

        { "games" => :game, "talk" => :compare }.fetch(activity.finds.first, :main)
      end

      # @param at_work [Hash{Symbol => String}] band and operation
      # @param memory [Memory]
      # @param slips [Array<String>] ids of slips of late, commonest first
      # @param has [Array<String>, nil] things on the class's shelf: what needs others comes last; nil where that is not
      #   known
      def initialize(at_work:, memory:, slips:, has:)
        @at_work = at_work
        @memory = memory
        @slips = slips
        @has = has
      end

      # @param role [Symbol] a place in a day
      # @param random [Random]
      # @param fresh [Object, nil] what is new on that day already
      # @param told [String, nil] the situation that was new the day before
      # @return [Array<Candidate>]
      def for(role, random:, fresh: nil, told: nil)
        @random = random
        case role
        when :main then main
        when :story then stories(fresh, told)
        when :facts then [candidate(Activity::WEEKLY, FACTS)]
        when :game then met(role) + unknown(found(%w[games])).map { |kind| candidate(kind, nil) }
        else met(role)
        end
      end

      # @param fresh [Array(String, String), nil] what of it is new
      # @return [String] a sentence
      def why(candidate, fresh)
        return candidate.why unless fresh
        return "New to this class: #{because(candidate.kind)}." if fresh.first == "activity"

        "New to this class: #{Novelty.title(*fresh)}."
      end

      private

      def candidate(kind, why, at_work = @at_work) = Candidate.new(kind: kind, why: why, at_work: at_work)

      # Of what is known, and why it stands there.
      def met(role)
        kinds, why, at_work = {
          warm_up: [warm_ups, "Goes back over what is known, #{numbers(below)}.", below],
          practice: [practised, "To practise what was met already."],
          game: [found(%w[games]), "The last day plays with the week’s numbers."],
          compare: [found(%w[talk]), "Looks back: what was the same, what was not?"]
        }.fetch(role)
        in_turn(kinds - unknown(kinds)).map do |kind|
          candidate(kind, kind == Activity::PRACTISED ? FACTS : why, at_work || @at_work)
        end
      end

      # New ones first, the most asked for before others; then those that were done longest ago.
      def main
        new = unknown(suited)
        (new + in_turn(suited - new)).map { |kind| candidate(kind, last_done(thing(kind))) }
      end

      # The story that was new the day before, once more; one that is new, where nothing else of the day is; then those
      # that were told longest ago.
      def stories(fresh, told)
        new, met = Problem::Situation.taught(@at_work.fetch(:operation)).map(&:id).partition do |id|
          @memory.new_of([["situation", id]]).any?
        end
        new = [] if fresh || told
        again = told ? [story(told, "The story of the day before once more, with other numbers.")] : []
        in_turn = (met - [told]).sort_by { |id| @memory.turn(["situation", id]) }
        again + new.first(1).map { |id| story(id, nil) } + in_turn.map do |id|
          story(id, "To pose and listen to: #{numbers(@at_work)}, where the class works.")
        end
      end

      def story(situation, why) = candidate(Activity::POSED, why, { **@at_work, situation: situation })

      def last_done(thing)
        day = @memory.last(thing)
        "In turn#{": done last on #{day.strftime('%-d %B')}" if day}."
      end

      def because(kind)
        slip = (kind.slips & @slips).first
        return "it brings out a slip of late, #{Slip.title_in(slip, @at_work.fetch(:operation))}" if slip

        "#{Activity::FINDS.fetch((kind.finds & aims).first || kind.finds.first).downcase}, #{numbers(@at_work)}"
      end

      # By the slips it brings out, then by what the range asks for.
      def suited
        fitting = found(aims) - Activity::USUAL.map { |id| Activity::ALL.fetch(id) }
        fitting.sort_by do |kind|
          [lacks?(kind) ? 1 : 0, @memory.turn(thing(kind)).first, -(kind.slips & @slips).size,
           aims.index((kind.finds & aims).first), Activity::ALL.ids.index(kind.id)]
        end
      end

      def lacks?(kind) = !@has.nil? && (kind.materials.map(&:thing) - @has).any?

      def aims
        wanted = AIMS.fetch(@at_work.fetch(:band))
        @at_work[:operation] == "subtract" ? ["take_away", *wanted - ["take_away"]] : wanted
      end

      def found(finds) = Activity::ALL.select { |kind| kind.finds.intersect?(finds) }
      def warm_ups = (found(%w[see]) | [Activity::PRACTISED]).select { |kind| kind.minutes <= SHORT }
      def practised = Activity::ALL.select { |kind| kind.paper[:recording] } - [Activity::POSED]
      def unknown(kinds) = kinds.reject { |kind| @memory.known?(kind) }
      def thing(kind) = ["activity", kind.id]

      # None twice before the others that fit: least in this week, then longest ago, then by lot.
      def in_turn(kinds)
        lots = kinds.to_h { |kind| [kind.id, @random.rand] }
        kinds.sort_by { |kind| [*@memory.turn(thing(kind)), lots[kind.id]] }
      end

      # One range back.
      def below
        order = Widening::ORDER
        { **@at_work, band: order[[order.index(@at_work.fetch(:band)) - 1, 0].max] }
      end

      def numbers(at_work) = Novelty.title("range", at_work.fetch(:band))
    end
  end
end
