# frozen_string_literal: true

module Pages
  module Board
    # The board of a class, for its teacher: full screen, with no names, and with its keys.
    class Routes < Shared::Tab
      needs :conduct, %r{/events\z} => :record

      helpers Screen

      get "/:room" do
        lesson = lesson_shown
        leave = params[:problem] ? "/listen/#{room.id}?problem=#{params[:problem]}" : "/conduct/#{room.id}"
        next board(leave: leave, screen: partial(:"board/_nothing")) unless lesson

        board leave: leave, follow: "/board/#{room.id}/lessons/#{lesson.id}", screen: screen_of(lesson)
      end

      get("/:room/lessons/:lesson/screen") { screen_of(found_lesson) }
      get("/:room/lessons/:lesson/events") { halt Live::LessonEvents.response(found_lesson, own: account_id || true) }

      # A problem onto the board of its lesson, which is opened here.
      post "/:room/problem" do
        posed = room.problem(params[:problem]) || halt(404)
        posed.lesson.put_on_board(posed)
        redirect "/board/#{room.id}?problem=#{posed.id}"
      end

      # A command from the board's own keys, or from Listen.
      post "/:room/lessons/:lesson/commands" do
        form = checked(CommandContract)
        lesson = found_lesson
        if form[:do] == "problem"
          lesson.put_on_board(lesson.problem(form[:value]) || halt(404))
        else
          lesson.command(form[:do], form[:value])
        end
        screen_of(lesson)
      end

      # Opens the board to a projector or another machine by a short code.
      post "/:room/code" do
        room.start_lesson(today).open_code
        note_act("code", room)
        redirect "/#{params[:from] == 'conduct' ? 'conduct' : 'listen'}/#{room.id}"
      end

      helpers do
        # Today's lesson; with none, the last one that posed something.
        def lesson_shown
          return room.problem(params[:problem])&.lesson || halt(404) if params[:problem]

          room.lesson_on(today) || room.last_problem&.lesson
        end

        def found_lesson = @found_lesson ||= room.lesson(params[:lesson]) || halt(404)
      end
    end
  end
end
