# frozen_string_literal: true

module Pages
  module Projector
    # A board opened by its short code on a projector or another machine, with nobody signed in: it shows, and its
    # picture can be worked with by hand; nothing else. The code dies with the lesson.
    class Routes < Shared::Base
      set :erb, escape_html: true, layout: :"board/layout"
      helpers Board::Screen

      get "/?" do
        if params[:code].to_s.strip.match?(Records::Lesson::CODE)
          return redirect("/b/#{params[:code].to_s.strip.upcase}")
        end

        @title, @mistyped = "Open a board", params[:code]
        erb :"projector/code", layout: :"shared/layout"
      end

      get "/:code" do
        @follow = "/b/#{params[:code].upcase}"
        @screen = screen_of(lesson)
        erb :"board/board"
      end

      get("/:code/screen") { screen_of(lesson) }
      get("/:code/events") { halt Live::BoardEvents.response(lesson) }

      # A child's hand on the picture.
      post "/:code/commands" do
        form = checked(Board::HandContract)
        lesson.command(form[:do], form[:value])
        screen_of(lesson)
      end

      helpers do
        def lesson = @lesson ||= Records::Lesson.by_code(params[:code]) || halt(404)
      end
    end
  end
end
