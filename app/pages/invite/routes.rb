# frozen_string_literal: true

module Pages
  module Invite
    # An invitation, opened by its link or its code: what it gives, and taking it, in an account of one's own.
    class Routes < Shared::Base
      get("/") { redirect "/invite/#{Records::ShortCode.read(params[:code])}" }

      get "/:code" do
        next ask_who unless person

        show Page.new(visitor, invitation)
      end

      post "/:code" do
        halt 404 unless person
        found = invitation
        role = Page.new(visitor, found).role_here
        refuse("You are #{role} there already; this invitation stays good for somebody else") if role
        refuse(Page::STATES.fetch(found.refresh.state)) unless found.take(person)

        visitor.note "You are #{Records::Membership::AS[found.role]} of #{found.classroom.name} now."
        redirect Records::Policy.may?(found.role, :visit) ? "/coach" : "/today/#{found.classroom_id}"
      end

      helpers do
        def invitation = @invitation ||= Records::Invitation.by_code(params[:code]) || no_such_code
        def no_such_code = refuse("There is no such code. Look at it again, or ask for another")

        # Signed in, or with an account made, one comes back here.
        def ask_who
          visitor.keep_invitation Records::ShortCode.read(params[:code])
          redirect "/account/login"
        end
      end
    end
  end
end
