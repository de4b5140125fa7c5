# frozen_string_literal: true

module Records
  # A coach's visit to a class: what is agreed before it, what both heard, and the one next step after it.
  class Visit < Sequel::Model(:visits)
    many_to_one :classroom, class: "Records::Classroom"
    many_to_one :account, class: "Records::Account"

    # @return [Visit, nil] the one that has begun and not ended
    def self.going_on(room, account_id)
      exclude(begun_at: nil).first(classroom_id: room.id, account_id: account_id, ended_at: nil)
    end
  end
end
