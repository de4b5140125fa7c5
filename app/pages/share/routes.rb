# frozen_string_literal: true

module Pages
  module Share
    # Two or three ways heard, shown on the board from the least to the most abstract, each on a picture of the
    # teacher's choice and checked by a second one.
    class Routes < Shared::Tab
      needs :conduct

      get("/:room") { show Page.new(visitor, found_problem) }

      post "/:room" do
        form = checked(ShareContract)
        posed = room.problem(form[:problem]) || halt(404)
        @page = Page.new(visitor, posed)
        path = path_of(form)
        form = form.merge(move: path.move.id) unless form[:broken]
        draw(posed, [name_of(form), form[:on], form[:beside]].compact.join(" "), form[:stand])
        show Page.new(visitor, posed, shown: form)
      rescue Rungs::Error => e
        status 422
        show Page.new(visitor, posed, trouble: e.message, pieces: Array(params[:pieces]))
      end

      helpers do
        # The same again is its next step; or it is done to its end, and stays beside others.
        def draw(posed, wanted, stand)
          posed.lesson.put_on_board(posed)
          return posed.lesson.command("stand", wanted) if stand

          posed.lesson.command("draw", posed.lesson.on_board.next_of(wanted))
        end

        def found_problem
          return room.problem(params[:problem]) || halt(404) if params[:problem]

          room.current_problem || redirect("/plan/#{room.id}")
        end

        def name_of(form) = form[:broken] ? "#{form[:broken]}:#{form[:pieces].join(',')}" : form[:move]

        # @raise [Rungs::Error] with the number that is off
        def path_of(form)
          problem = @page.problem
          return Rungs::Strategy::Split.path(problem, form[:broken], form[:pieces].to_a) if form[:broken]

          move = form[:record] ? move_of_record(form[:record]) : form[:move]
          Rungs::Strategy::Path.by(problem, move) || refuse("That way does not fit this problem")
        end

        def move_of_record(key)
          row = room.record(key, problem_id: @page.posed.id) || halt(404)
          @page.path_of_row(row)&.move&.id
        end
      end
    end
  end
end
