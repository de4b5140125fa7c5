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
        away = { classroom_id: room.id, child_id: child.id, day: form[:day] }
        form[:away] ? DB[:absences].insert_conflict.insert(**away) : DB[:absences].where(away).delete
        listening.forget(today) if form[:day] == today
        redirect "/hear/#{room.id}"
      end

      helpers do
        def days = @days ||= (today..).lazy.select { |day| (1..5).cover?(day.wday) }.first(5)
        def away_on(day) = (@away ||= DB[:absences].where(classroom_id: room.id, day: days).select_hash_groups(:day, :child_id)).fetch(day, [])

        # Today's list stands once the lesson has begun; the days after follow from it.
        def plan
          first = days.first == today && room.lesson_on(today)&.listening ? [Rungs::Progress::Listening::Day.new(date: today, turns: listening.on(today))] : []
          first + listening.plan(days, heard_first: first.flat_map { |day| day.turns.map(&:child) }).drop(first.size)
        end

        def page
          @tab, @title = "climb", "Whom to hear"
          @plan = plan
          @margin = class_margin(next_up: @plan.first.turns.map(&:child)) { |child| "/climb/#{room.id}/children/#{child.id}" }
          erb :"hear/hear"
        end
      end
    end
  end
end
