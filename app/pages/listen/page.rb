# frozen_string_literal: true

module Pages
  module Listen
    # A posed problem on which answers are recorded: whose turn it is, the last records, what a wrong answer may be.
    class Page < Shared::Page
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

      # Today's list first, one's own share of it before the others', in turn; then the others by name.
      def in_turn(rows)
        rows.sort_by.with_index do |row, index|
          turn = turns.index(row[:child])
          [turn ? 0 : 1, turn && elsewhere?(row[:child]) ? 1 : 0, turn || 0, index]
        end
      end

      # By child, whose share of the list it is where several listen.
      # @return [Hash{Integer => Integer}]
      def shares
        @shares ||= if !together? || posed.lesson.held_on != today then {}
                    else Records::SharedList.new(posed.lesson).shares(turns)
                    end
      end

      def elsewhere?(child) = shares.key?(child.id) && shares[child.id] != person.id

      # The first letter of whose share a name is.
      def share_of(child) = listeners[shares[child.id]].to_s[0]
      def listeners = @listeners ||= Records::Account.where(id: shares.values.uniq).select_hash(:id, :name)

      # Others of the class with whom the list can be shared, where it is not yet.
      def colleagues
        return [] if !together? || shares.any? || posed.lesson.held_on != today

        others = Records::Membership.of(room).reject { |each| each.account_id == person.id }
        @colleagues ||= others.select { |each| each.may?(:share_list) }.map(&:account)
      end

      # Whether somebody else may have this page open too.
      def together? = visitor.others?
      def seats? = visitor.seats? && room.children.any?(&:seat)

      # Where a name stands in the margin.
      def seat_class(child)
        row, place = child.seat && Records::Seating.place(child.seat)
        row && "seat-c#{place} seat-r#{row}"
      end

      # In a visit its children, else today's list.
      def turns = @turns ||= in_visit || listening.on(today).map(&:child)

      def in_visit = (going_on.whom if going_on&.whom&.any?)

      # The visit that goes on in this class.
      def going_on
        return @going_on if defined?(@going_on)

        @going_on = visitor.visit || (Records::Visit.in_class(room) unless substitute?)
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
        observation.associations[:child] = child
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

      def log
        by_id = room.children.to_h { |child| [child.id, child] }
        @log ||= room.last_records(posed.lesson, **seen_here)
        @log.each { |row| row.associations[:child] = by_id[row.child_id] if by_id.key?(row.child_id) }
      end

      # Who was heard on this problem, and by whom.
      # @return [Hash{Integer => Integer, nil}]
      def heard_here = @heard_here ||= Records::Observation.heard_on(posed, **seen_here)

      # In a visit two listen blind to each other: a coach sees own records, others none of a coach's.
      def seen_here
        return {} if substitute?

        may?(:visit) ? { account_id: person.id } : { visit_id: nil }
      end

      # What another heard of the same answers, by the key of the record that counts.
      def heard_by_two = @heard_by_two ||= together? ? Records::HeardByTwo.words(room, log) : {}

      # @return [String, nil] the first letter of who heard a child here, where that was somebody else
      def heard_by(child_id)
        by = heard_here[child_id]
        names[by].to_s[0] if by && together? && by != person.id
      end

      def names = @names ||= Records::Account.where(id: heard_here.values.compact.uniq).select_hash(:id, :name)

      # A story where the problem before was one, with its template again; else the bare equation.
      # @return [Hash] the data of an item
      def told(problem)
        template = room.book[posed.template]
        return Rungs::Activity::POSED.told(problem, "") unless problem.situation && template&.suits?(problem)

        names = room.book.names(Random.new)
        story = Rungs::Problem::Story.new(problem, template: template, names: names)
        Rungs::Activity::POSED.told(problem, story.text, **story.told)
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
