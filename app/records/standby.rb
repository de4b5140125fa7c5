# frozen_string_literal: true

module Records
  # Reading beside: pages that only read may be read from a copy of the database, as long as it has everything that was
  # written of their class. Each write counts, in its own transaction (class_writes); a copy whose sum is no smaller has
  # all of them, whoever made them on whatever device. Else, or where the copy is away, the database itself is read.
  #
  # A count, and no place in the log: a place taken before the end of a transaction lies before that end, and one taken
  # after it may be lost with the process that took it.
  module Standby
    # Seconds for which one that was away is not asked.
    AWAY = 5
    BEHIND = <<~SQL
      CASE WHEN pg_last_wal_receive_lsn() IS DISTINCT FROM pg_last_wal_replay_lsn()
           THEN extract(epoch FROM now() - pg_last_xact_replay_timestamp()) ELSE 0 END
    SQL
    private_constant :BEHIND

    module_function

    # @param room [Classroom]
    # @yield reads, and changes nothing that is read there; once more from the database itself where the copy goes away
    # @yieldparam from [String] "standby" or "primary"
    def read(room, &block)
      return yield("primary") unless answers?

      begin
        DB.synchronize(:standby) { from_it(room, &block) }
      rescue Sequel::DatabaseError
        @away_until = now + AWAY
        yield("primary")
      end
    end

    # @return [Float, nil] seconds; nil where there is none, or it is away
    def behind
      answers? ? DB.select(Sequel.lit(BEHIND)).server(:standby).single_value.to_f : nil
    rescue Sequel::DatabaseError
      nil
    end

    # Puts the rows of each class together; their sum stays.
    def tidy
      DB.run <<~SQL
        WITH many AS (SELECT classroom_id FROM class_writes GROUP BY classroom_id HAVING count(*) > 1),
             gone AS (DELETE FROM class_writes WHERE classroom_id IN (TABLE many) RETURNING classroom_id, number)
        INSERT INTO class_writes (classroom_id, number) SELECT classroom_id, sum(number) FROM gone GROUP BY classroom_id
      SQL
    end

    # One connection for the count and all that follows: others may lead to another copy.
    def from_it(room)
      return yield("primary") if written(room, :standby) < written(room, :default)

      DB.with_server(:default, :standby) { yield "standby" }
    end
    private_class_method :from_it

    def written(room, server) = DB[:class_writes].server(server).where(classroom_id: room.id).sum(:number).to_i
    def answers? = DB.sharded? && now >= (@away_until || 0)
    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    private_class_method :written, :answers?, :now
  end
end
