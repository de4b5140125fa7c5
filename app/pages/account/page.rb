# frozen_string_literal: true

module Pages
  module Account
    # The signed-in person: classes, and where else one is signed in.
    class Page < Shared::Page
      view :"account/account", title: "Your account"

      # room, role; and in words: title, with its school or teacher where two are called the same; about.
      Own = Struct.new(:room, :role, :title, :about, keyword_init: true) do
        def teacher? = Records::Policy.may?(role, :teach)
        def path = Records::Policy.may?(role, :visit) ? "/coach/#{room.id}" : "/today/#{room.id}"
      end

      # @return [Array<Own>] the classes of this person by what they are there, then by name
      def classes
        roles = person.memberships_dataset.select_hash(:classroom_id, :role)
        all = person.classrooms.sort_by { |room| [ROLES.index(roles[room.id]), room.name] }
        names = all.map(&:name).tally
        all.map do |room|
          Own.new(room: room, role: roles[room.id], title: names[room.name] > 1 ? told_apart(room) : room.name,
                  about: [(roles[room.id] unless Records::Policy.may?(roles[room.id], :teach)),
                          plural(room.size, "child", "children")].compact.join(", "))
        end
      end

      ROLES = Records::Membership::AS.keys
      private_constant :ROLES

      def margin = nil
      def here = visitor.session_id
      def sessions = Records::Session.of(person)

      private

      def told_apart(room)
        of = room.school.empty? ? Records::Membership.of(room).first.account.name : room.school
        "#{room.name}, #{of}"
      end
    end
  end
end
