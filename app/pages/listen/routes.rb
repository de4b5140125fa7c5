# frozen_string_literal: true

module Pages
  module Listen
    # Recording: child, then rung; two taps. What else is known is added to the last tap.
    class Routes < Shared::Tab
      needs :record, %r{/seats\z} => :plan

      ENOUGH = "#{Records::Lesson::MOST_BY_LINK} answers were taken down by this link; it takes no more".freeze

      get "/:room" do
        posed = params[:problem] ? found_problem : room.current_problem || room.last_problem
        return show NothingPage.new(visitor) unless posed

        show Page.new(visitor, posed: posed, chosen: params[:child] && room.child(params[:child]))
      end

      before("/:room/seats") { halt 404 if substitute? }

      # Names by today's list, or as they sit.
      post "/:room/order" do
        visitor.keep_seats(params[:order] == "seats")
        redirect "/listen/#{room.id}#{"?problem=#{params[:problem]}" if params[:problem].to_s.match?(/\A\d+\z/)}"
      end

      # The list is shared out with somebody else of the class, or a name of it given to the next.
      post "/:room/share" do
        form = checked(ShareContract)
        lesson = room.start_lesson(today)
        list = Records::SharedList.new(lesson)
        page = Page.new(visitor, posed: shown_problem || halt(404)) unless form[:with]
        if page then list.give(room.child(form[:child]) || halt(404), page.turns)
        else list.join(person.id, colleague(form[:with]))
        end
        redirect "/listen/#{room.id}#{"?problem=#{params[:problem]}" if shown_problem}"
      end

      # Who is asked now, for the others who listen: told, not kept.
      post "/:room/open" do
        child = room.child(checked(OpenContract)[:child]) || halt(404)
        by = person.name.to_s[0].to_s
        told = { lesson: lesson_today&.id, open: child.id, by: by, who: visitor.key }
        DB.notify(Records::Observation::CHANNEL, payload: told.to_json)
        204
      end

      get("/:room/seats") { show SeatsPage.new(visitor) }

      post "/:room/seats" do
        form = checked(SeatContract)
        seating = Records::Seating.new(room)
        child = form[:item] && (room.child(form[:item]) || halt(404))
        next_seat = form[:place] || form[:fill] || refuse("Choose a seat")
        if form[:fill] then seating.fill
        else seating.put(child || refuse("Choose a name first"), next_seat == "none" ? nil : next_seat.to_i)
        end
        htmx? ? show(SeatsPage.new(visitor)) : redirect("/listen/#{room.id}/seats")
      end

      # What the numbers a child says may be: proposed, never recorded by itself.
      get "/:room/hearing" do
        form = checked(HeardContract)
        page = Page.new(visitor, posed: room.problem(form[:problem]) || halt(404))
        heard = form[:heard].split.map(&:to_i)
        candidates = Rungs::Slip.heard(page.posed.problem, heard, seconds: form[:seconds])
        page.partial(:"listen/_candidates", candidates: candidates)
      end

      get("/:room/remote") { Page.new(visitor, posed: found_problem).partial(:"listen/_remote") }

      post "/:room/records" do
        form = checked(RecordContract)
        sent = visitor.clock unless form[:held_at]
        at = HeardAt.of(form[:held_at] || form[:happened_at], sent: sent, lesson: visitor.lent_lesson)
        Metrics.tap_waited if HeardAt.late?(at)
        posed = posed_of(form, at) || halt(404)
        same_problem(posed, form[:equation])
        child = room.anybody(form[:child_id]) || halt(404)
        refuse(ENOUGH) unless !substitute? || visitor.lent_lesson.room_for_more?
        form[:heard] = form[:heard].split.map(&:to_i) if form.key?(:heard)
        said = form.except(:child_id, :problem_id, :part_id, :item, :equation, :happened_at, :held_at)
        posed = posed.numbers_of(child)
        listens_too(posed)
        recorded(posed) { |recorder| recorder.record(child: child, problem: posed, happened_at: at, **said) }
      end

      # What is shown of a problem after somebody else heard or changed something: whose turns are over, and the last
      # records.
      get("/:room/heard") { Page.new(visitor, posed: found_problem).partial(:"listen/_heard_elsewhere") }

      post "/:room/records/:key/changes" do
        form = checked(ChangeContract)
        form[:used] = form[:used].split(",") if form.key?(:used)
        recorded { |recorder| recorder.correct(known_key, **form) }
      end

      post "/:room/records/:key/undo" do
        recorded { |recorder| recorder.undo(known_key, client_key: checked(ChangeContract)[:client_key]) }
      end

      # Poses what tells the likely slips apart, or shows the one slip again, and goes on with that child.
      post "/:room/records/:key/probe" do
        observation = room.record(known_key) || halt(404)
        page = Page.new(visitor, posed: observation.posed_problem)
        problem = page.diagnosis_of(observation)&.next_problem || refuse("No problem would tell more about that answer")
        posed = page.posed.lesson.course.tell([page.item_data(problem)], show: false)
        redirect "/listen/#{room.id}?problem=#{posed.id}&child=#{observation.child_id}"
      end

      helpers do
        def posed_of(form, at)
          return room.problem(form[:problem_id]) if form[:problem_id]

          room.part(form[:part_id])&.items&.posed(form[:item], at: at)
        end

        # An answer is never kept under another problem than the one it was tapped for.
        def same_problem(posed, equation)
          return if equation.nil? || equation == posed.equation

          refuse("it was an answer to #{equation}, and there #{posed.equation} stands now; it was not kept")
        end

        def found_problem = room.problem(params[:problem]) || halt(404)
        def shown_problem = params[:problem].to_s.match?(/\A\d+\z/) ? room.problem(params[:problem]) : room.last_problem

        # Another of this class.
        def colleague(id) = Records::Membership.first(classroom_id: room.id, account_id: id)&.account_id || halt(404)
        def known_key = params[:key].match?(Shared::Contract::UUID) ? params[:key] : halt(404)

        # Where several belong to a class, whoever takes something down in today's lesson has a share of its list.
        def listens_too(posed)
          return unless visitor.others? && may?(:share_list)

          Records::SharedList.new(posed.lesson).join(account_id) if posed.lesson.held_on == today
        end

        # Keeps what a block records. htmx puts the fragment in place; a plain form gets the whole page again.
        # @yield [Records::Recorder] → a Records::Observation
        def recorded(posed = nil)
          recorder = Records::Recorder.new(room, account_id, substitute: substitute?, role: role, visit: visit)
          say_kept do
            observation = yield recorder
            page = Page.new(visitor, posed: posed || observation.posed_problem, recorder: recorder)
            next redirect("/listen/#{room.id}?problem=#{page.posed.id}") unless htmx?

            # By the name that is seen here, also of one who left the list meanwhile.
            page.changed_by(observation, room.anybody(observation.child_id) || halt(404))
          end
        end
      end
    end
  end
end
