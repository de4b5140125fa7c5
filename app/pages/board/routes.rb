# frozen_string_literal: true

module Pages
  module Board
    # The board of a class, for its teacher: full screen, with no names, and with its keys.
    class Routes < Shared::Tab
      helpers Screen

      get "/:room" do
        @lesson = lesson_shown or return erb(:"board/nothing", layout: :"board/layout")
        @posed = params[:problem] ? (room.problem(params[:problem]) || halt(404)) : @lesson.on_board
        return erb(:"board/nothing", layout: :"board/layout") if @lesson.board_empty?

        @lesson.put_on_board(@posed) if params[:problem]
        @follow = "/board/#{room.id}/lessons/#{@lesson.id}"
        @leave = leave
        erb :"board/board", layout: :"board/layout"
      end

      get("/:room/lessons/:lesson/screen") { screen_of(found_lesson) }
      get("/:room/lessons/:lesson/events") { halt Live::BoardEvents.response(found_lesson) }

      # A command from the board's own keys, or from Listen.
      post "/:room/lessons/:lesson/commands" do
        form = checked(CommandContract)
        lesson = found_lesson
        if form[:do] == "problem"
          turn_to(lesson, form[:value])
        else
          lesson.change_board { |state, posed| after(lesson, state, posed, form) }
        end
        screen_of(lesson)
      end

      # Where the code is asked for, but on Listen.
      CODE_ASKED_ON = { "practice" => "/lesson/%d/practice", "conduct" => "/conduct/%d" }.freeze

      # Opens the board to a projector or another machine by a short code.
      post "/:room/code" do
        room.start_lesson(today).open_code
        redirect CODE_ASKED_ON.fetch(params[:from], "/listen/%d") % room.id
      end

      post "/:room/end" do
        room.lesson_on(today)&.finish
        env["rack.session"]["note"] = "The lesson has ended, and its board code with it. Start goes on with it."
        redirect "/today/#{room.id}"
      end

      helpers do
        # What stands on the board takes the commands it knows; what it does not know changes nothing.
        def after(lesson, state, posed, form)
          wanted = form.values_at(:do, :value)
          return Records::ItemOnBoard.new(state, lesson.part_on_board.items).after(*wanted) if lesson.part_on_board

          known = posed && State::COMMANDS.include?(form[:do])
          known ? State.new(state, posed).after(*wanted) : state
        end

        # Today's lesson; with none, the last one that posed something.
        def lesson_shown
          return room.problem(params[:problem])&.lesson || halt(404) if params[:problem]

          room.lesson_on(today) || room.last_problem&.lesson
        end

        def leave
          return "/conduct/#{room.id}" if @lesson.part_on_board
          return "/lesson/#{room.id}/practice" if @lesson.list_on_board

          "/listen/#{room.id}?problem=#{@posed.id}"
        end

        def found_lesson = @found_lesson ||= room.lesson(params[:lesson]) || halt(404)
        def turn_to(lesson, id) = lesson.put_on_board(lesson.problem(id) || halt(404))
      end
    end
  end
end
