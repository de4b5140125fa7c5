# frozen_string_literal: true

module Pages
  module Listen
    # Recording: child, then rung; two taps. What else is known is added to the last tap.
    class Routes < Shared::Tab
      helpers Shared::ClassMargin

      get "/:room" do
        @tab, @title = "listen", "Listen"
        @posed = if params[:problem]
                   room.problem(params[:problem]) || halt(404)
                 else
                   room.current_problem || room
                     .last_problem
                 end
        return erb(:"listen/nothing") unless @posed

        @scripts = %w[listen]
        @chosen = params[:child] && room.child(params[:child])
        @margin = partial(:"listen/_children", rows: in_turn(margin_rows(turns)))
        erb :"listen/listen"
      end

      # Names by today's list, or as they sit.
      post "/:room/order" do
        env["rack.session"]["seats"] = params[:order] == "seats"
        redirect "/listen/#{room.id}#{"?problem=#{params[:problem]}" if params[:problem].to_s.match?(/\A\d+\z/)}"
      end

      get("/:room/seats") { seats_page }

      post "/:room/seats" do
        form = checked(SeatContract)
        seating = Records::Seating.new(room)
        child = form[:item] && (room.child(form[:item]) || halt(404))
        next_seat = form[:place] || form[:fill] || refuse("Choose a seat")
        if form[:fill] then seating.fill
        else seating.put(child || refuse("Choose a name first"), next_seat == "none" ? nil : next_seat.to_i)
        end
        htmx? ? seats_page : redirect("/listen/#{room.id}/seats")
      end

      # What the numbers a child says may be: proposed, never recorded by itself.
      get "/:room/hearing" do
        form = checked(HeardContract)
        @posed = room.problem(form[:problem]) || halt(404)
        heard = form[:heard].split.map(&:to_i)
        @candidates = Rungs::Strategy::Hearing.of(@posed.problem, heard, seconds: form[:seconds])
        partial(:"listen/_candidates")
      end

      get "/:room/remote" do
        @posed = room.problem(params[:problem]) || halt(404)
        partial(:"listen/_remote")
      end

      post "/:room/records" do
        form = checked(RecordContract)
        @posed = room.problem(form[:problem_id]) || halt(404)
        child = room.children.find { |each| each.id == form[:child_id] } || halt(404)
        form[:heard] = form[:heard].split.map(&:to_i) if form.key?(:heard)
        said = form.except(:child_id, :problem_id, :happened_at)
        answer_with recorder.record(child: child, problem: @posed, happened_at: form[:happened_at] || Time.now, **said)
      end

      post "/:room/records/:key/changes" do
        form = checked(ChangeContract)
        form[:used] = form[:used].split(",") if form.key?(:used)
        answer_with recorder.correct(known_key, **form)
      end

      post "/:room/records/:key/undo" do
        answer_with recorder.undo(known_key, client_key: checked(ChangeContract)[:client_key])
      end

      # Poses what tells the likely slips apart, or shows the one slip again, and goes on with that child.
      post "/:room/records/:key/probe" do
        observation = room.record(known_key) || halt(404)
        @posed = observation.posed_problem
        problem = diagnosis_of(observation)&.next_problem || refuse("No problem would tell more about that answer")
        posed = @posed.lesson.pose(problem, **words_for(problem))
        redirect "/listen/#{room.id}?problem=#{posed.id}&child=#{observation.child_id}"
      end

      error(Records::Recorder::Gone) { halt 404 }

      helpers do
        # Today's list first, in turn; then the others by name.
        def in_turn(rows) = rows.sort_by.with_index { |row, index| [turns.index(row[:child]) || turns.size, index] }
        def seats? = env["rack.session"]["seats"] == true && room.children.any?(&:seat)

        def seats_page
          @tab, @title = "listen", "Where everybody sits"
          seating = Records::Seating.new(room)
          erb :"listen/seats", locals: { seated: seating.seated, unseated: seating.unseated, rows: seating.rows }
        end

        # Where a name stands in the margin.
        def seat_class(child)
          row, place = child.seat && Records::Seating.place(child.seat)
          row && "seat-c#{place} seat-r#{row}"
        end

        def photos_of(observation) = Records::Photo.of_record(room, observation.first_key)

        def recorder = @recorder ||= Records::Recorder.new(room, env["rodauth"].session_value)
        def known_key = params[:key].match?(Shared::Contract::UUID) ? params[:key] : halt(404)
        def turns = @turns ||= listening.on(today).map(&:child)

        # What a wrong answer may come from.
        # @return [Rungs::Slip::Diagnosis, nil]
        def diagnosis_of(observation)
          observation.answer && Rungs::Slip::Diagnosis.new(@posed.problem, observation.answer, rung: observation.code)
        end

        # What the board of this lesson shows, for the remote.
        def board_state = @board_state ||= Board::State.new(@posed.lesson.board.to_h, @posed)
        def on_board? = @posed.lesson.on_board&.id == @posed.id

        # The fragment that htmx puts in place; a plain form gets the whole page again.
        def answer_with(observation)
          @posed ||= observation.posed_problem
          return redirect("/listen/#{room.id}?problem=#{@posed.id}") unless htmx?

          child = observation.child
          estimate = recorder.estimate(child, *focus, on: today) || evidence.estimate_of(child, *focus, on: today)
          partial(:"listen/_live", observation: (observation unless observation.undone)) +
            partial(:"listen/_out_of_band", child: child, estimate: estimate)
        end

        # The last of this lesson, whatever its problem.
        def log
          by_id = room.children.to_h { |child| [child.id, child] }
          @log ||= Records::Observation::OF_LESSON.call(classroom_id: room.id, lesson_id: @posed.lesson_id)
          @log.each { |row| row.associations[:child] = by_id[row.child_id] if by_id.key?(row.child_id) }
        end

        def heard_here = @heard_here ||= Records::Observation::HEARD.call(classroom_id: room.id, problem_id: @posed.id)
        def tally = "#{heard_here.size} heard, #{(room.children.map(&:id) - heard_here).size} to go"

        # A story where the problem before was one, with its template again; else the bare equation.
        def words_for(problem)
          template = Rungs::Problem::Template::ALL[@posed.template]
          return { story: "" } unless problem.situation && template&.suits?(problem)

          names = Rungs::Problem::Story::NAMES.sample(2)
          { story: Rungs::Problem::Story.new(problem, template: template, names: names).text, template: template.id }
        end

        # "Count on, from the first"
        def candidate_title(candidate)
          rung = Rungs::Strategy::Rung::ALL[candidate.rung] || Rungs::Strategy::OffLadder::ALL.fetch(candidate.rung)
          [rung.title, (Rungs::Strategy::Move::ALL.fetch(candidate.move).title if candidate.move)].compact.join(", ")
        end

        def moves_of(observation) = @posed.problem.paths.map(&:move).select { |move| move.rung == observation.rung }

        def next_problem
          following = @posed.check_in_id ? nil : @posed.lesson.beside(@posed, 1)
          following ? "/listen/#{room.id}?problem=#{following.id}" : "/plan/#{room.id}"
        end
      end
    end
  end
end
