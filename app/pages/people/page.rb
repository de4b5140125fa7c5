# frozen_string_literal: true

module Pages
  module People
    # Who belongs to a class and as what, and who is invited.
    class Page < Shared::Page
      view :"people/people", tab: "records", title: "People"

      def here = "/people/#{room.id}"
      def members = @members ||= Records::Membership.of(room)
      def invitations = @invitations ||= room.invitations_dataset.still_good.reverse(:id).all
      def told(role) = Records::Policy.told(role, room)
      def link(invitation) = "#{request.scheme}://#{host_for_others}/invite/#{invitation.code}"
      def code(invitation) = Records::ShortCode.written(invitation.code)
      def last_day(invitation) = room.today(invitation.at + Records::Invitation::KEPT)
    end
  end
end
