# frozen_string_literal: true

module Records
  # How often something was tried of late, kept in the database so that several servers share it; a store as rack-attack
  # wants one.
  module Attempts
    TABLE = DB[:attempts]
    STALE = 3600

    module_function

    # @return [Integer, nil]
    def read(key) = TABLE.where(key: key).where { expires_at > Time.now }.get(:count)

    def write(key, value, expires_in: STALE)
      row = { count: value, expires_at: Time.now + expires_in }
      TABLE.insert_conflict(target: :key, update: row).insert(key: key, **row)
    end

    # @return [Integer] how often, with this time; counted anew where it is over
    def increment(key, amount = 1, expires_in: STALE)
      over = Sequel[:attempts][:expires_at] < Time.now
      again = { count: Sequel.case({ over => amount }, Sequel[:attempts][:count] + amount),
                expires_at: Sequel.case({ over => Time.now + expires_in }, Sequel[:attempts][:expires_at]) }
      rows = TABLE.insert_conflict(target: :key, update: again).returning(:count)
      count = rows.insert(key: key, count: amount, expires_at: Time.now + expires_in).first[:count]
      forget_stale if count == amount
      count
    end

    def delete(key) = TABLE.where(key: key).delete
    def forget_stale = TABLE.where { expires_at < Time.now - STALE }.delete
  end
end
