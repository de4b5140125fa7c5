# frozen_string_literal: true

module Pages
  module People
    # Who belongs to a class and as what, and who is invited.
    class Page < Shared::Page
      view :"people/people", tab: "records", title: "People"

      # What each may do, at a glance.
      BRIEF = { "assistant" => "Records answers, conducts and prints", "coach" => "Sees ladders, listens in visits",
                "teacher" => "May do all you may" }.freeze

      def brief(role) = BRIEF.fetch(role)
      def here = "/people/#{room.id}"
      def members = @members ||= Records::Membership.of(room)
      def invitations = @invitations ||= room.invitations_dataset.still_good.reverse(:id).all

      # "assistant since 12 October"
      def as_what(member)
        ["#{member.role} since #{short_date(room.today(member.since))}", ear_of(member.account)].compact.join(", ")
      end

      # "31 of 36 clips", for who shares it
      def ear_of(account)
        ear = Records::Ear.new(account)
        pairs = ear.shared? ? ear.pairs : []
        "#{pairs.count { |was, heard| was == heard }} of #{plural(pairs.size, 'clip')} heard as they were" if pairs.any?
      end

      def acts(role) = Records::Policy.words_for(role, room)
      def link(invitation) = visitor.address.invitation(invitation)
      def code(invitation) = Records::ShortCode.written(invitation.code)
      def last_day(invitation) = room.today(invitation.at + Records::Invitation::KEPT)
    end
  end
end
