# frozen_string_literal: true

module Pages
  module Listen
    # A posed problem on which answers are recorded: whose turn it is, the last records, what a wrong answer may be.
    class Page < Shared::Page
      include Turns
      include Log

      view :"listen/listen", tab: "listen", title: "Listen", scripts: %w[listen], inert: true

      attr_reader :posed, :chosen, :recorder

      # @param posed [Records::PosedProblem]
      # @param chosen [Records::Child, nil] who is asked
      # @param recorder [Records::Recorder, nil] that has just recorded something
      def initialize(visitor, posed:, chosen: nil, recorder: nil)
        super(visitor)
        @posed = posed
        @chosen = chosen
        @recorder = recorder
      end

      def margin = partial(:"listen/_children", rows: in_turn(margin_rows(turns)))

      # Whether somebody else may have this page open too.
      def together? = visitor.others?
      def seats? = visitor.seats? && room.children.any?(&:seat)

      # Where a name stands in the margin.
      def seat_class(child)
        row, place = child.seat && Records::Seating.place(child.seat)
        row && "seat-c#{place} seat-r#{row}"
      end

      # What a wrong answer may come from.
      # @return [Rungs::Slip::Diagnosis, nil]
      def diagnosis_of(observation)
        observation.answer && Rungs::Slip::Diagnosis.new(posed.problem, observation.answer, rung: observation.code)
      end

      # What the board of this lesson shows, for the remote.
      def on_board = @on_board ||= posed.lesson.on_board
      def on_board? = posed.lesson.board.problem == posed.id

      # What one record changes on the page.
      # @param observation [Records::Observation]
      # @param child [Records::Child]
      def changed_by(observation, child)
        observation.read_with(child: child)
        estimate = estimate_now(child) if may?(:ladders)
        partial(:"listen/_changed", observation: observation, child: child, estimate: estimate)
      end

      # What was just recorded may stand beside what another heard, or have that beside it.
      # @return [String, nil]
      def both_heard(observation)
        return unless together?

        (@both ||= {})[observation.first_key] ||= begin
          counts = observation.beside ? room.record(observation.beside) : observation
          counts ? Records::HeardByTwo.words(room, [counts]).values.first.to_s : ""
        end.then { |words| words unless words.empty? }
      end

      # "Ada", or that Ada is not on the list any more.
      def child_called(child) = child.left_on ? "#{child.name} (off the list now)" : child.name

      def estimate_now(child)
        recorder.estimate(child, *focus, on: today) || evidence.estimate_of(child, *focus, on: today)
      end

      # A story where the problem before was one, with its template again; else the bare equation.
      # @return [Hash] the data of an item
      def item_data(problem)
        template = room.book[posed.template]
        return Rungs::Activity::POSED.data_for(problem, "") unless problem.situation && template&.suits?(problem)

        names = room.book.names(Random.new)
        story = Rungs::Problem::Story.new(problem, template: template, names: names)
        Rungs::Activity::POSED.data_for(problem, story.text, **story.template_and_things)
      end

      # "Count on, from the first"
      def candidate_title(candidate)
        rung = Rungs::Strategy::Rung::ALL[candidate.rung] || Rungs::Strategy::OffLadder::ALL.fetch(candidate.rung)
        [rung.title, (Rungs::Strategy::Move::ALL.fetch(candidate.move).title if candidate.move)].compact.join(", ")
      end

      # One sentence of a record, for who listens to the page.
      def said_of(observation)
        "#{observation.child.name}: #{observation.summary}#{', taken back' if observation.undone}."
      end

      def moves_of(observation) = posed.problem.moves.select { |move| move.rung == observation.rung }

      def next_problem
        following = posed.check_in_id ? nil : posed.lesson.following(posed)
        return "/listen/#{room.id}?problem=#{following.id}" if following

        substitute? ? "/conduct/#{room.id}" : "/plan/#{room.id}"
      end
    end
  end
end
