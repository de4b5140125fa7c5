# frozen_string_literal: true

module Pages
  module Share
    # Two or three ways heard, shown on the board from the least to the most abstract, each on a picture of the
    # teacher's choice and checked by a second one.
    class Routes < Shared::Tab
      helpers Shared::ClassMargin

      get("/:room") { page_of(found_problem) }

      post "/:room" do
        form = checked(ShareContract)
        @posed = room.problem(form[:problem]) || halt(404)
        path = path_of(form)
        form = form.merge(move: path.move.id) unless form[:broken]
        draw([name_of(form), form[:on], form[:beside]].compact.join(" "))
        @shown = form
        page_of(@posed)
      rescue Rungs::Error => e
        @trouble = e.message
        status 422
        page_of(@posed)
      end

      helpers do
        # The same again is its next step.
        def draw(wanted)
          lesson = @posed.lesson
          lesson.put_on_board(@posed)
          lesson.command("draw", lesson.on_board.next_of(wanted))
        end

        def found_problem
          return room.problem(params[:problem]) || halt(404) if params[:problem]

          room.current_problem || redirect("/plan/#{room.id}")
        end

        def page_of(posed)
          @posed = posed
          @tab, @title = "listen", "Share ways"
          @problem = posed.problem
          @proposed = @posed.sharing
          @margin = class_margin { |child| "/climb/#{room.id}/children/#{child.id}" }
          erb :"share/share"
        end

        # What was heard of this problem and can be drawn: a rung, by its own move or the usual one.
        def rows = @rows ||= @posed.rungs_heard

        # Each way of a child once, the last time it was heard.
        # @return [Hash{Records::Child => Array<Array(Records::Observation, Rungs::Strategy::Path)>}]
        def rows_by_child
          told = rows.reverse.filter_map { |row| (path = path_of_row(row)) && [row, path] }
          told.uniq do |row, path|
            [row.child_id, path.move.id]
          end.group_by { |row, _| row.child }.sort_by { |child, _| child.name }
        end

        def path_of_row(row) = Rungs::Strategy::Path.heard(@problem, row.rung, row.move)

        def path_of_record(key)
          row = room.record(key, problem_id: @posed.id) || halt(404)
          @problem = @posed.problem
          path_of_row(row)
        end

        # All moves of this problem, the proposed first, from the least to the most abstract.
        def ways
          proposed = @proposed.to_h { |each| [each.path.move.id, each] }
          in_order = @problem.paths.sort_by { |path| [proposed.key?(path.move.id) ? 0 : 1, path.rung] }
          shown = in_order.map { |path| [path, proposed[path.move.id], Rungs::Picture::Staging.stages(path, @problem, **fingers)] }
          shown.reject { |_, _, stages| stages.empty? }
        end

        def fingers = room.pictured.slice(:fingers)
        def name_of(form) = form[:broken] ? "#{form[:broken]}:#{form[:pieces].join(',')}" : form[:move]

        # @raise [Rungs::Error] with the number that is off
        def path_of(form)
          return Rungs::Strategy::Split.path(@posed.problem, form[:broken], form[:pieces].to_a) if form[:broken]

          form = { move: path_of_record(form[:record])&.move&.id } if form[:record]
          Rungs::Strategy::Path.by(@posed.problem, form[:move]) || refuse("That way does not fit this problem")
        end

        # Numbers of the problem that a child may break in two.
        def breakable = Rungs::Strategy::Split.breakable(@problem)
      end
    end
  end
end
