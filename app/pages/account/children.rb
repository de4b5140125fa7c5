# frozen_string_literal: true

module Pages
  module Account
    # Who is in a class: added from a pasted list, renamed, put in order, taken off the list and put back, erased.
    module Children
      # What these routes ask.
      module Asked
        def child
          @child ||= Records::Child.first(classroom_id: room.id, id: child_id) || halt(404)
        end

        def child_id = params[:child].match?(/\A\d{1,18}\z/) ? params[:child].to_i : halt(404)
      end

      def self.registered(routes)
        routes.helpers Asked
        routes.offer_children
      end

      # The routes, in the words of the class that has them.
      def offer_children
        # A pasted list: what of it would be added, before anything is.
        post "/classes/:room/list" do
          show ListPage.new(visitor, **checked(ListContract))
        end

        post "/classes/:room/children" do
          names = checked(ChildrenContract)[:names].lines.map do |name|
            Exchange::ClassList.clean(name)
          end.reject(&:empty?)
          Records::Brought.names(room, person, names)
          note_act("children", room)
          say "#{plural(names.uniq.size, 'child', 'children')} in the list. #{room.name} now has #{room.size}."
        rescue Records::Child::TooMany => e
          refuse(e.message)
        end

        # Another name, or another place in the list.
        post "/classes/:room/children/:child" do
          form = checked(ChildContract)
          child.rename(Exchange::ClassList.clean(form[:name])) if form[:name]
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

        # Off the list, records kept.
        post "/classes/:room/children/:child/leave" do
          room.child(params[:child]) || halt(404)
          child.update(left_on: room.today)
          note_act("off_the_list", room)
          visitor.note("#{child.name} is off the list. The records are kept.",
                       undo: "/account/classes/#{room.id}/children/#{child.id}/back")
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
        get("/classes/:room/children/:child/erase") { show ErasePage.new(visitor, child) }

        # For good, records and all; also of a child who is off the list.
        post "/classes/:room/children/:child/delete" do
          unless params[:typed].to_s.strip == child.name
            status 422
            return show ErasePage.new(visitor, child, trouble: "That is not the name. Nothing was erased.")
          end
          Records::Erasing.new(child).call(stories: !params[:stories].nil?)
          note_act("erased", room)
          say "#{child.name} and all records of #{child.name} are erased."
        end
      end
    end
  end
end
