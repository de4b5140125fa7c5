# frozen_string_literal: true

module Pages
  module Plan
    # A problem being made ready to pose: its situation, numbers and words.
    class Page < Shared::Page
      view :"plan/pose", tab: "plan", title: "Pose a problem"

      attr_reader :typed_equation, :equation_trouble

      # @param kept [Boolean] whether what is asked was kept from the last time
      # @param trouble [String, nil] why it could not be posed; equation_trouble: why an equation could not
      def initialize(visitor, kept: false, trouble: nil, typed_equation: nil, equation_trouble: nil, **asked)
        super(visitor, **asked)
        @kept = kept
        @trouble = trouble
        @typed_equation = typed_equation
        @equation_trouble = equation_trouble
      end

      def from_draft? = @kept
      def trouble = @trouble || (@no_draft unless draft)

      # @return [Draft, nil] nil where there is none
      def draft
        return @draft if defined?(@draft)

        @draft = make_draft
      end

      # What was typed, where it is to be gone on with; else the story.
      def words_to_show = (@trouble || from_draft?) && asked[:words] ? asked[:words] : draft.story.text

      # The story's numbers, easier first, each with whose they are.
      # @return [Array<StorySet>]
      def sets = @sets ||= StorySet.of(draft.problem, standing)

      # What the form holds of the sets, which is not asked for again with other numbers.
      def fields_of_sets = %w[easier harder].flat_map { |level| ["#{level}[]", "#{level}_situation"] }.join(",")

      # Where most work elsewhere than these numbers: how many of how many, and where.
      # @return [Array(Integer, Integer, String), nil]
      def elsewhere = (Rungs::Planning::StorySets.elsewhere(draft.problem, standing) if sets.any?)

      # "12 of 20 work with larger numbers"
      def said_elsewhere(many, all, band)
        larger = Rungs::Planning::Ranges.beyond?(band, draft.problem.band) ? "larger" : "smaller"
        where = band == draft.problem.band ? "other" : larger
        "#{many} of #{all} #{many == 1 ? 'works' : 'work'} with #{where} numbers"
      end

      # Whether a set is given: as ticked, else where somebody works with it.
      def given?(set) = set.middle? || (asked[:also] ? asked[:also].include?(set.level) : set.children.any?)

      # @param levels [Array<String>] of the sets that are given
      # @return [Array<Hash>] whose numbers each is, as a part keeps it; who has none gets the middle ones
      def kept_sets(levels)
        given, others = sets.partition { |set| levels.include?(set.level) }
        given.map do |set|
          children = set.children + (set.middle? ? others.flat_map(&:children) : [])
          { level: set.level, children: children.map(&:id) }
        end
      end

      # Whom to hear today.
      def due?(child) = (@due ||= listening.waiting(today).map(&:child)).include?(child)

      def reading
        names = Rungs::Problem::Story::NAMES + room.children.map(&:name)
        @reading ||= Rungs::Problem::Reading.new(draft.story.text, names: names)
      end

      def hard_to_read
        long = "a sentence has #{reading.longest_sentence} words"
        hard = "not in the first words: #{reading.hard_words.join(', ')}"
        [(long if reading.longest_sentence > Rungs::Problem::Reading::LONGEST),
         (hard if reading.hard_words.any?)].compact.join("; ")
      end

      # @return [Rungs::Progress::Forecast::Class]
      def forecast(problem, children = room.children)
        estimates = children.to_h do |child|
          [child, evidence.estimate(child, problem.operation, problem.band, on: today)]
        end
        known = problem.exact_fact ? evidence.known(problem.operation, problem.exact_fact) : {}
        Rungs::Progress::Forecast.for_class(estimates, problem) { |child| known[child.id] }
      end

      # From this chance on one way alone is named.
      LIKELY = 0.6
      SAID = { 1 => "count all", 2 => "count on", 3 => "use parts", 4 => "make ten", 5 => "know it" }.freeze

      # "About 6 count on, 3 make ten"
      def about(told)
        "About #{told.about.map { |rung, many| "#{many} #{SAID.fetch(rung)}" }.join(', ')}"
      end

      # "likely to count on", "count on or make ten", of one child: never a figure.
      # @param chances [Hash{Integer => Float}, nil]
      def in_words(chances)
        return "not heard enough" unless chances

        first, second = chances.sort_by { |rung, chance| [-chance, rung] }
        return "likely to #{SAID.fetch(first[0])}" if first[1] >= LIKELY || second.nil?

        "#{SAID.fetch(first[0])} or #{SAID.fetch(second[0])}"
      end

      # Two at most, who are likely to work above most others; who shared of late comes after who did not.
      # @return [Array<Records::Child>]
      def worth_sharing(told)
        usual = told.expected.max_by { |rung, many| [many, -rung] }.first
        likely = told.children.compact.transform_values { |chances| chances.max_by(&:last) }
        above = likely.select { |_, (rung, chance)| rung.between?(usual + 1, 4) && chance >= 0.5 }
        above.sort_by { |child, (_, chance)| [shared_late.include?(child.id) ? 1 : 0, -chance, child.name] }
             .first(2).map(&:first)
      end

      def shared_late = @shared_late ||= Records::Way.gave_of_late(room, today)

      def situations = DraftContract::SITUATIONS.map { |id| Rungs::Problem::Situation::ALL.fetch(id) }

      private

      # Where each child works, as of today.
      def standing = @standing ||= Records::ClassStanding.new(room, today + 1).standing(draft.problem.operation)

      def make_draft
        posed = lesson_today&.problems.to_a.map(&:problem)
        wanted = asked.merge(numbers: asked[:instead_of] ? nil : asked[:numbers])
        Draft.make(wanted, posed: [*posed, *told_before], recent: room.templates_since(today - 28), random: Random.new,
                           book: room.book)
      rescue Rungs::Error => e
        @no_draft = e.message
        nil
      end

      # The draft that another one is asked for instead of.
      def told_before
        numbers = asked[:instead_of].to_s.scan(/\d{1,3}/).map(&:to_i)
        numbers.empty? ? nil : Rungs::Problem.from_story(asked[:situation], numbers)
      rescue Rungs::Error
        nil
      end
    end
  end
end
