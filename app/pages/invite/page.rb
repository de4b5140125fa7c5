# frozen_string_literal: true

module Pages
  module Invite
    # What an invitation gives, and to whom it would.
    class Page < Shared::Page
      view :"invite/invite", title: "An invitation"

      # What became of one that is not good any more.
      STATES = { taken: "That invitation was taken up already; each works once",
                 late: "That invitation was good for a week, which is over; ask for another",
                 called_back: "That invitation was called back" }.freeze

      def initialize(visitor, invitation)
        super(visitor)
        @invitation = invitation
      end

      attr_reader :invitation

      def margin = nil
      def classroom = invitation.classroom
      def trouble = STATES[invitation.state]
      def acts = Records::Policy.words_for(invitation.role, classroom)
      def as = Records::Membership::AS[invitation.role]

      # As what they belong to it already.
      def role_here = @role_here ||= Records::Membership::AS[person.role_in(classroom)]
    end
  end
end
