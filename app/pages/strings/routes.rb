# frozen_string_literal: true

module Pages
  module Strings
    # A string: bare problems one at a time, the ways kept for each.
    class Routes < Shared::Tab
      helpers Shared::ClassMargin

      before("/:room/?*") { @tab, @title = "plan", "A string" }

      get("/:room") { page }

      # Begins a string on the spot.
      post "/:room/set" do
        form = checked(SetContract)
        course = room.start_lesson(today).course
        course.go(course.plan("string", details: { "move" => form[:move] }, after: course.current))
        redirect here
      end

      post "/:room/next" do
        Records::Opening.new(lesson, part || halt(404)).next_of_string
        redirect here
      end

      # A way offered: one that Rungs knows for this problem, or as the teacher writes it.
      post "/:room/ways" do
        form = checked(WayContract)
        posed = found(form[:problem])
        Records::Way.keep({ classroom_id: room.id, problem_id: posed.id }, text_of(posed.problem, form),
                          move: form[:move], initials: form[:initials].to_s.strip)
        lesson.change_board { |state, _| state }
        redirect "#{here}?problem=#{posed.id}"
      rescue Rungs::Error => e
        @trouble = e.message
        status 422
        page
      end

      post "/:room/board" do
        posed = found(params[:problem])
        lesson.put_on_board(posed)
        if params[:do] == "ways"
          lesson.change_board do |state, there|
            Board::State.new(state, there).after("ways", nil)
          end
        end
        redirect "#{here}?problem=#{posed.id}"
      end

      helpers do
        def here = "/strings/#{room.id}"
        def lesson = @lesson ||= room.lesson_on(today) || room.start_lesson(today)

        # The string going on; else the last one of this lesson.
        def part
          @part ||= [lesson.course.current, *lesson.course.parts.reverse].compact.find do |each|
            each.kind == "string" && each.begun?
          end
        end

        # A problem of a string, which then is the one at hand.
        def found(id)
          posed = room.problem(id) || halt(404)
          posed.part&.kind == "string" || refuse("That problem is in no string")
          @part = posed.part
          posed
        end

        def page
          @posed = params[:problem] ? found(params[:problem]) : part&.problems&.last
          @state = @posed && Board::State.new(lesson.board.to_h, @posed)
          @margin = class_margin { |child| "/climb/#{room.id}/children/#{child.id}" }
          erb :"strings/strings"
        end

        # One of each rung's usual ways, and the others after them.
        def moves = @posed.problem.paths.sort_by { |path| [path.rung, path.move.usual ? 0 : 1] }

        def text_of(problem, form)
          if form[:written]
            return Rungs::Activity::WrittenWay.text(form[:written], problem.answer,
                                                    turned: room.setting("turned"))
          end

          Rungs::Strategy::Path.by(problem, form[:move])&.says || refuse("Choose a way, or write it: 8 + 2 + 4")
        end
      end
    end
  end
end
