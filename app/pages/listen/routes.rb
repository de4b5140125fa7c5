# frozen_string_literal: true

module Pages
  module Listen
    # Recording: child, then rung; two taps. What else is known is added to the last tap.
    class Routes < Shared::Tab
      helpers Shared::ClassMargin, Recording

      ENOUGH = "#{Records::Lesson::MOST_BY_LINK} answers were taken down by this link; it takes no more".freeze

      get "/:room" do
        @tab, @title = "listen", "Listen"
        @posed = if params[:problem]
                   room.problem(params[:problem]) || halt(404)
                 else
                   room.current_problem || room.last_problem
                 end
        return erb(:"listen/nothing") unless @posed

        @scripts = %w[listen]
        @chosen = params[:child] && room.child(params[:child])
        @margin = partial(:"listen/_children", rows: in_turn(margin_rows(turns)))
        erb :"listen/listen"
      end

      before("/:room/seats") { halt 404 if substitute? }

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
        at = HeardAt.of(form[:happened_at], lesson: env["rungs.substitute"])
        @posed = posed_of(form, at) || halt(404)
        same_problem(form[:equation])
        child = room.anybody(form[:child_id]) || halt(404)
        refuse(ENOUGH) unless !substitute? || env["rungs.substitute"].room_for_more?
        form[:heard] = form[:heard].split.map(&:to_i) if form.key?(:heard)
        said = form.except(:child_id, :problem_id, :part_id, :item, :equation, :happened_at)
        kept { answer_with recorder.record(child: child, problem: @posed, happened_at: at, **said) }
      end

      # What is shown of a problem after somebody else heard or changed something: whose turns are over, and the last
      # records.
      get "/:room/heard" do
        @posed = room.problem(params[:problem]) || halt(404)
        partial(:"listen/_heard_elsewhere")
      end

      post "/:room/records/:key/changes" do
        form = checked(ChangeContract)
        form[:used] = form[:used].split(",") if form.key?(:used)
        kept { answer_with recorder.correct(known_key, **form) }
      end

      post "/:room/records/:key/undo" do
        kept { answer_with recorder.undo(known_key, client_key: checked(ChangeContract)[:client_key]) }
      end

      # Poses what tells the likely slips apart, or shows the one slip again, and goes on with that child.
      post "/:room/records/:key/probe" do
        observation = room.record(known_key) || halt(404)
        @posed = observation.posed_problem
        problem = diagnosis_of(observation)&.next_problem || refuse("No problem would tell more about that answer")
        posed = @posed.lesson.course.tell([told(problem)], show: false)
        redirect "/listen/#{room.id}?problem=#{posed.id}&child=#{observation.child_id}"
      end

      helpers do
        def posed_of(form, at)
          return room.problem(form[:problem_id]) if form[:problem_id]

          room.part(form[:part_id])&.items&.posed(form[:item], at: at)
        end

        # An answer is never kept under another problem than the one it was tapped for.
        def same_problem(equation)
          return if equation.nil? || equation == @posed.equation

          refuse("it was an answer to #{equation}, and there #{@posed.equation} stands now; it was not kept")
        end

        def seats_page
          @tab, @title = "listen", "Where everybody sits"
          seating = Records::Seating.new(room)
          erb :"listen/seats", locals: { seated: seating.seated, unseated: seating.unseated, rows: seating.rows }
        end
      end
    end
  end
end
