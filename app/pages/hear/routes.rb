# frozen_string_literal: true

module Pages
  module Hear
    # Whom to listen to in the coming days, with reasons; children who are away keep their turn.
    class Routes < Shared::Tab
      needs :plan, see: :ladders

      helpers Shared::ClassMargin

      get("/:room") { show Page.new(visitor) }

      # Who is away on a day.
      post "/:room/away" do
        form = checked(AwayContract)
        child = room.child(form[:child]) || halt(404)
        room.note_absence(child, form[:day], away: form[:away])
        listening.forget(today) if form[:day] == today
        redirect "/hear/#{room.id}"
      end
    end
  end
end
