# frozen_string_literal: true

module Pages
  module Account
    # The signed-in person: classes and who is in them.
    class Routes < Shared::Base
      get("") { account_page }
      get("/") { account_page }

      post "/classes" do
        form = checked(ClassContract)
        classroom = person.start_classroom(**form.slice(:name, :school, :time_zone))
        redirect "/account/classes/#{classroom.id}"
      end

      # Ends the sessions of one device, or of all others.
      post "/sessions" do
        here = env["rodauth"].compute_hmac(session_store["active_session_id"].to_s)
        sessions = Records::Session.where(account_id: person.id)
        ended = params[:others] ? sessions.exclude(session_id: here) : sessions.where(session_id: params[:session].to_s)
        ended.delete
        env["rodauth"].remove_remember_key(person.id)
        session_store["note"] = "Signed out there."
        redirect "/account"
      end

      get "/classes/:room" do
        room
        @title = room.name
        erb :"account/classroom"
      end

      post "/classes/:room" do
        room.update(checked(ClassContract).slice(:name, :school, :time_zone))
        say "Saved."
      end

      # How this class does things on which teachers differ.
      post "/classes/:room/settings" do
        chosen = Rungs::Planning::Setting::ALL.to_h { |setting| [setting.id, setting.choice(params[setting.id])] }
        room.keep_settings(chosen)
        say "Saved."
      end

      post "/classes/:room/children" do
        names = checked(ChildrenContract)[:names].lines.map(&:strip).reject(&:empty?)
        Records::Child.enrol(room, names)
        say "#{plural(names.uniq.size, 'child', 'children')} in the list. #{room.name} now has #{room.size}."
      rescue Records::Child::TooMany => e
        refuse(e.message)
      end

      # Off the list, records kept.
      post "/classes/:room/children/:child/leave" do
        child = room.child(params[:child]) || halt(404)
        child.update(left_on: room.today)
        say "#{child.name} is off the list. The records are kept; add #{child.name} again to bring them back."
      end

      # For good, records and all.
      post "/classes/:room/children/:child/delete" do
        child = room.child(params[:child]) || halt(404)
        child.delete
        say "#{child.name} and all records of #{child.name} are deleted."
      end

      helpers do
        def account_page
          @title = "Your account"
          @here = env["rodauth"].compute_hmac(session_store["active_session_id"].to_s)
          @sessions = Records::Session.of(person)
          erb :"account/account"
        end

        def say(note)
          session_store["note"] = note
          redirect "/account/classes/#{room.id}"
        end

        def session_store = env["rack.session"]
      end
    end
  end
end
