# frozen_string_literal: true

module Pages
  module Account
    # The signed-in person: classes and who is in them.
    class Routes < Shared::Base
      before("/classes/:room/?*") { room }

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

      # A pasted list: what of it would be added, before anything is.
      post "/classes/:room/list" do
        text = checked(ListContract)[:list]
        @title = "The list"
        @list = Exchange::ClassList.new(text, there: room.children.map(&:name), off: off_the_list.map(&:name))
        erb :"account/list"
      end

      post "/classes/:room/children" do
        names = checked(ChildrenContract)[:names].lines.map(&:strip).reject(&:empty?)
        Records::Child.enrol(room, names)
        note_act("children", room)
        say "#{plural(names.uniq.size, 'child', 'children')} in the list. #{room.name} now has #{room.size}."
      rescue Records::Child::TooMany => e
        refuse(e.message)
      end

      # Another name, or another place in the list.
      post "/classes/:room/children/:child" do
        form = checked(ChildContract)
        child.rename(form[:name]) if form[:name]
        Records::Child.shift(room, child, form[:do] == "earlier" ? -1 : 1) if form[:do]
        redirect "/account/classes/#{room.id}#children"
      rescue Sequel::UniqueConstraintViolation
        refuse("There is a #{form[:name]} in #{room.name} already")
      end

      # By name again.
      post "/classes/:room/order" do
        room.children_dataset.update(place: 0)
        say "The list stands by name."
      end

      # Put away, or taken out again.
      post "/classes/:room/archive" do
        back = params[:back]
        room.update(archived_on: back ? nil : today)
        env["rack.session"]["note"] =
          "#{room.name} is #{back ? 'back among your classes' : 'put away; nothing is lost'}."
        redirect "/account"
      end

      # A new year: this class goes on under another name, or a new one has its names and its own records.
      post "/classes/:room/year" do
        form = checked(YearContract)
        following = form[:records] ? room.update(name: form[:name]) : room.begin_anew(form[:name], by: person)
        note_act("year", room)
        session_store["note"] = "#{following.name} begins with #{plural(following.size, 'child', 'children')}."
        redirect "/account/classes/#{following.id}"
      end

      # Off the list, records kept.
      post "/classes/:room/children/:child/leave" do
        room.child(params[:child]) || halt(404)
        child.update(left_on: room.today)
        note_act("off_the_list", room)
        undoable("#{child.name} is off the list. The records are kept.",
                 "/account/classes/#{room.id}/children/#{child.id}/back")
        redirect "/account/classes/#{room.id}"
      end

      # On it again.
      post "/classes/:room/children/:child/back" do
        Records::Child.enrol(room, [child.name])
        say "#{child.name} is on the list again."
      rescue Records::Child::TooMany => e
        refuse(e.message)
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

        # By continent, each by its city.
        # @return [Hash{String => Array<Array(String, String)>}]
        def zones
          known = TZInfo::Timezone.all_identifiers.select { |zone| zone.include?("/") && !zone.start_with?("Etc/") }
          cities = known.map { |zone| [zone, zone.split("/", 2).last.tr("_", " ").sub("/", ", ")] }
          { **cities.group_by { |zone, _| zone[%r{\A[^/]+}] }, "All" => [%w[Etc/UTC UTC]] }
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
