# frozen_string_literal: true

module Pages
  module People
    # Who belongs to a class: invited by a link or a code, ended at once.
    class Routes < Shared::Tab
      needs :keep, %r{/leave\z} => :see_plan

      get("/:room") { show Page.new(visitor) }

      post "/:room/invitations" do
        made = Records::Invitation.make(room, person, checked(InviteContract)[:role])
        note_act("invited", room)
        redirect "#{here}#invitation-#{made.id}"
      end

      post "/:room/invitations/:invitation/away" do
        found = room.invitations_dataset.still_good.first(id: params[:invitation].to_i) || halt(404)
        found.call_back
        note_act("uninvited", room)
        redirect here
      end

      post "/:room/members/:account/end" do
        found = member(params[:account].to_i)
        found.end_it || refuse("#{room.name} needs a teacher: its last one stays")
        note_act("ended", room)
        redirect found.account_id == person.id ? "/account" : here
      end

      # Whoever is not its only teacher may go.
      post "/:room/leave" do
        member(person.id).end_it || refuse("#{room.name} needs a teacher: its last one stays")
        note_act("left", room)
        redirect "/account"
      end

      helpers do
        def here = "/people/#{room.id}"
        def member(id) = Records::Membership.first(classroom_id: room.id, account_id: id) || halt(404)
      end
    end
  end
end
