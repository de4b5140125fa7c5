# frozen_string_literal: true

module Records
  # An invitation to a class, by a code that works once and for a week.
  class Invitation < Sequel::Model(:invitations)
    many_to_one :classroom, class: "Records::Classroom"
    many_to_one :account, class: "Records::Account"
    many_to_one :taker, class: "Records::Account", key: :taken_by

    KEPT = 7 * 86_400

    dataset_module do
      def still_good(now = Time.now) = where(taken_at: nil, called_back_at: nil).where { at > now - KEPT }
    end

    # @param role [String] of Membership::AS
    def self.make(room, account, role)
      create(classroom_id: room.id, account_id: account.id, role: role, code: ShortCode.make, at: Time.now)
    end

    # @param typed [String] as it was typed or stands in an address
    # @return [Invitation, nil] whatever became of it
    def self.by_code(typed)
      code = ShortCode.read(typed)
      first(code: code) if code
    end

    # @return [Symbol] good, taken, called_back or late
    def state(now = Time.now)
      return :taken if taken_at
      return :called_back if called_back_at

      at > now - KEPT ? :good : :late
    end

    # Takes it, once; for who belongs to the class already it stays as it is.
    # @param by [Account] who does not belong to it
    # @return [Boolean] whether it was still good
    def take(by)
      db.transaction do
        return false unless Invitation.still_good.where(id: id).update(taken_at: Time.now, taken_by: by.id) == 1

        Membership.dataset.insert_conflict(target: %i[account_id classroom_id])
                  .insert(account_id: by.id, classroom_id: classroom_id, role: role, since: Time.now)
        Audit.note("joined", account_id: by.id, classroom: classroom)
      end
      true
    end

    def call_back = update(called_back_at: Time.now)
  end
end
