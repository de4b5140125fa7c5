# frozen_string_literal: true

module Pages
  module Account
    # The signed-in person: classes and who is in them.
    class Routes < Shared::Base
      register Children

      before("/classes/:room/?*") do
        room
        allow(:keep)
      end

      get("/?") { show Page.new(visitor) }

      post "/classes" do
        form = checked(ClassContract)
        classroom = person.start_classroom(**form.slice(:name, :school, :time_zone))
        classroom.merge_settings("year" => form[:year]) if form.key?(:year)
        redirect "/account/classes/#{classroom.id}"
      end

      # Ends a session on another device.
      post "/sessions" do
        Records::Session.where(account_id: person.id, session_id: params[:session].to_s).delete
        note_act("sessions")
        visitor.note "Signed out there."
        redirect "/account"
      end

      get("/log") { show LogPage.new(visitor, **checked(LogContract)) }
      get("/classes/:room") { show ClassPage.new(visitor) }

      post "/classes/:room" do
        room.update(checked(ClassContract).slice(:name, :school, :time_zone))
        say "Saved."
      end

      # How this class does things on which teachers differ.
      post "/classes/:room/settings" do
        sent = Rungs::Planning::Setting::ALL.select { |setting| params.key?(setting.id) }
        chosen = sent.to_h { |setting| [setting.id, setting.choice(params[setting.id])] }
        room.merge_settings(chosen)
        note_act("settings", room)
        say "Saved."
      end

      # Put away, or taken out again.
      post "/classes/:room/archive" do
        back = params[:back]
        room.update(archived_on: back ? nil : today)
        visitor.note "#{room.name} is #{back ? 'back among your classes' : 'put away; nothing is lost'}."
        redirect "/account"
      end

      # A new year: this class goes on under another name, or a new one has its names and its own records.
      post "/classes/:room/year" do
        form = checked(YearContract)
        following = form[:records] ? room.update(name: form[:name]) : room.begin_anew(form[:name], by: person)
        note_act("year", room)
        visitor.note "#{following.name} begins with #{plural(following.size, 'child', 'children')}."
        redirect "/account/classes/#{following.id}"
      end

      helpers do
        def say(note)
          visitor.note note
          redirect "/account/classes/#{room.id}"
        end
      end
    end
  end
end
