# frozen_string_literal: true

module Pages
  module Projector
    # A board opened by its short code on a projector or another machine, with nobody signed in: it shows, and its
    # picture can be worked with by hand; nothing else. The code dies with the lesson.
    class Routes < Shared::Base
      helpers Board::Screen

      get "/?" do
        typed = params[:code].to_s.strip
        redirect("/b/#{typed.upcase}") if typed.match?(Records::Lesson::CODE)
        status 422 if params[:code]
        ask_for_code(params[:code], "A code is six letters.")
      end

      # What was typed stands in the address.
      not_found { ask_for_code(request.path_info[/\w+/], "No board has this code now.") }

      get "/:code" do
        visitor.open_board lesson.code
        board follow: "/b/#{params[:code].upcase}", screen: screen_of(lesson)
      end

      get("/:code/screen") { screen_of(lesson) }
      get("/:code/events") { halt Live::LessonEvents.response(lesson) }

      # A child's hand on the picture.
      post "/:code/commands" do
        form = checked(Board::HandContract)
        lesson.command(form[:do], form[:value])
        screen_of(lesson)
      end

      helpers do
        # @param typed [String, nil]
        # @param trouble [String] why it opens nothing
        def ask_for_code(typed, trouble)
          show CodePage.new(visitor, typed: typed, trouble: trouble)
        end

        def lesson = @lesson ||= Records::Lesson.by_code(params[:code]) || halt(404)
      end
    end
  end
end
