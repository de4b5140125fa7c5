# frozen_string_literal: true

module Records
  # Who belongs to a class, and as what.
  class Membership < Sequel::Model(:memberships)
    many_to_one :account, class: "Records::Account"
    many_to_one :classroom, class: "Records::Classroom"
    unrestrict_primary_key
    plugin :timestamps, create: :since

    # As what one belongs to it, with the word said of one person.
    AS = { "teacher" => "a teacher", "assistant" => "an assistant", "coach" => "a coach" }.freeze
    # By whom it is heard that somebody does not belong to a class any more.
    CHANNEL = :rungs_ended

    dataset_module do
      def teachers = where(role: "teacher")
    end

    # @return [Array<Membership>] teachers first, by name
    def self.of(room)
      all = where(classroom_id: room.id).eager(:account).all
      all.sort_by { |each| [AS.keys.index(each.role), each.account.name] }
    end

    # @return [String, nil] the role
    def self.role(account_id, room_id) = where(account_id: account_id, classroom_id: room_id).get(:role)

    # The last teacher stays.
    # Whether that may be done in this role, whatever the class has set.
    def may?(act) = Policy.may?(role, act)
    def last_teacher? = may?(:teach) && Membership.teachers.where(classroom_id: classroom_id).count == 1

    # It is over, at once and everywhere.
    # @return [Boolean] whether it is; not for the last teacher
    def end_it
      db.transaction do
        Classroom.where(id: classroom_id).for_update.first
        return false if last_teacher?

        this.delete
        db.notify(CHANNEL, payload: account_id.to_s)
      end
      true
    end
  end
end
