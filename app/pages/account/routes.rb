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

      # Ends a session on another device; none stays signed in by itself any more.
      post "/sessions" do
        Records::Session.where(account_id: person.id, session_id: params[:session].to_s).delete
        env["rodauth"].remove_remember_key(person.id)
        note_act("sessions")
        session_store["note"] = "Signed out there."
        redirect "/account"
      end

      get "/log" do
        @title = "What was done"
        @rows = Records::Audit.of(person)
        erb :"account/log"
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
        note_act("settings", room)
        say "Saved."
      end

      post "/classes/:room/children" do
        names = checked(ChildrenContract)[:names].lines.map(&:strip).reject(&:empty?)
        Records::Child.enrol(room, names)
        note_act("children", room)
        say "#{plural(names.uniq.size, 'child', 'children')} in the list. #{room.name} now has #{room.size}."
      rescue Records::Child::TooMany => e
        refuse(e.message)
      end

      # Off the list, records kept.
      post "/classes/:room/children/:child/leave" do
        child = room.child(params[:child]) || halt(404)
        child.update(left_on: room.today)
        note_act("off_the_list", room)
        say "#{child.name} is off the list. The records are kept; add #{child.name} again to bring them back."
      end

      # What would go for good, and a name to type.
      get "/classes/:room/children/:child/erase" do
        erase_page
      end

      # For good, records and all; also of a child who is off the list.
      post "/classes/:room/children/:child/delete" do
        unless params[:typed].to_s.strip == child.name
          @trouble = "That is not the name. Nothing was erased."
          status 422
          return erase_page
        end
        Records::Erasing.new(child).call(stories: !params[:stories].nil?)
        note_act("erased", room)
        say "#{child.name} and all records of #{child.name} are erased."
      end

      helpers do
        def child
          @child ||= Records::Child.first(classroom_id: room.id, id: child_id) || halt(404)
        end

        def child_id = params[:child].match?(/\A\d{1,18}\z/) ? params[:child].to_i : halt(404)
        def off_the_list = Records::Child.where(classroom_id: room.id).exclude(left_on: nil).order(:name).all

        def erase_page
          @title = "Erase #{child.name}"
          @erasing = Records::Erasing.new(child)
          erb :"account/erase"
        end

        # "12 records, 1 photo and a note"
        def goes_with(amounts)
          words = { records: %w[record records], photos: %w[photo photos], ways: ["way given", "ways given"],
                    notes: %w[note notes] }
          told = amounts.select { |_, many| many.positive? }.map { |what, many| plural(many, *words.fetch(what)) }
          told.empty? ? "no records" : [told[0...-1].join(", "), told.last].reject(&:empty?).join(" and ")
        end

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
