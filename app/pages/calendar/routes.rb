# frozen_string_literal: true

module Pages
  module Calendar
    # A class's lessons for a calendar that reads them by the private address, with nobody signed in.
    class Routes < Shared::Base
      # Days behind and ahead.
      BEHIND = 30
      AHEAD = 90

      get %r{/([0-9a-f]{32})\.ics} do |key|
        room = Records::Classroom.first(calendar_key: key) || halt(404)
        in_its_words(room)
        headers "content-type" => "text/calendar; charset=utf-8"
        Exchange::Calendar.new(room, from: room.today - BEHIND, to: room.today + AHEAD).to_s
      end
    end
  end
end
