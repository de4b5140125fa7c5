# frozen_string_literal: true

module Records
  # A child who changes class: one teacher offers, by a code that works once and for a week; the other agrees.
  class ChildOffer < Sequel::Model(:child_offers)
    many_to_one :classroom, class: "Records::Classroom"
    many_to_one :child, class: "Records::Child"
    many_to_one :account, class: "Records::Account"

    KEPT = 7 * 86_400

    dataset_module do
      def good(now = Time.now)
        where { at > now - KEPT }.where(child_id: DB[:children].where(left_on: nil).select(:id))
      end
    end

    # @return [ChildOffer] one code for a child
    def self.make(child, account)
      where(child_id: child.id).delete
      create(classroom_id: child.classroom_id, child_id: child.id, account_id: account.id, code: ShortCode.make,
             at: Time.now)
    end

    # @param typed [String]
    # @return [ChildOffer, nil]
    def self.by_code(typed)
      code = ShortCode.read(typed)
      good.first(code: code) if code
    end
  end
end
