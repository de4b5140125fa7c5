# frozen_string_literal: true

module Pages
  module Today
    # What is on for this class, and whom to listen to.
    class Routes < Shared::Tab
      helpers Shared::ClassMargin

      get "/:room" do
        @tab, @title = "today", "Today"
        @lesson = room.lesson_on(today)
        @last = room.lessons_dataset.first(Sequel[:held_on] < today)
        @turns = evidence.turns(on: today, places: 6)
        @margin = class_margin(next_up: @turns.first(3).map(&:child)) { |child| "/climb/#{room.id}/children/#{child.id}" }
        erb :"today/today"
      end

      post "/:room/start" do
        room.start_lesson(today)
        redirect "/plan/#{room.id}"
      end
    end
  end
end
