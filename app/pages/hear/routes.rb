# frozen_string_literal: true

module Pages
  module Hear
    # Whom to listen to in the coming days, with reasons; children who are away keep their turn.
    class Routes < Shared::Tab
      helpers Shared::ClassMargin

      get("/:room") { page }

      # Who is away on a day.
      post "/:room/away" do
        form = checked(AwayContract)
        child = room.child(form[:child]) || halt(404)
        room.note_absence(child, form[:day], away: form[:away])
        listening.forget(today) if form[:day] == today
        redirect "/hear/#{room.id}"
      end

      helpers do
        def days = @days ||= Rungs::SchoolDays.from(today, 5)
        # School days in which everybody who is there has had a turn.
        def round = (room.children.size / ((listening.places + 1) / 2).to_f).ceil
        def away_on(day) = (@away ||= room.absences(days)).fetch(day, [])

        # Today's list stands once the lesson has begun; the days after follow from it.
        def plan
          stands = days.first == today && room.lesson_on(today)&.listening
          return listening.plan(days) unless stands

          first = Rungs::Progress::Listening::Day.new(date: today, turns: listening.on(today))
          [first, *listening.plan(days, heard_first: first.turns.map(&:child)).drop(1)]
        end

        def page
          @tab, @title = "climb", "Whom to hear"
          @plan = plan
          @margin = class_margin(next_up: listening.waiting(today).map(&:child)) do |child|
            "/climb/#{room.id}/children/#{child.id}"
          end
          erb :"hear/hear"
        end
      end
    end
  end
end
