# frozen_string_literal: true

module Records
  # Work that takes long, done by one process beside the server: what was asked for, how far it is, and what was made.
  class Job < Sequel::Model(:jobs)
    include InPieces

    PIECES_BY = :job_id
    CHANNEL = :rungs_jobs
    # How many of one account may wait; seconds that what was made is kept; seconds after which nothing comes any more.
    MOST = 10
    KEPT = 3600
    LONGEST = 900
    STATES = %w[waiting going ready failed].freeze
    # Whoever holds this lock does the work, for all servers.
    LOCK = 4600

    many_to_one :account, class: "Records::Account"
    many_to_one :classroom, class: "Records::Classroom"
    plugin :timestamps

    dataset_module do
      def unfinished = where(state: %w[waiting going])
    end

    # More than one account may ask for at once.
    class TooMany < StandardError; end

    # @param kind [String] an id of Jobs::Worker::KINDS
    # @param asked [Hash] what it is made of
    # @return [Job] a new one; or one that asks for the same and has not begun
    # @raise [TooMany]
    def self.ask(kind, asked, account_id: nil, classroom_id: nil)
      of = { kind: kind, account_id: account_id, classroom_id: classroom_id }
      there = first(asked: Sequel.pg_jsonb(asked), state: "waiting", **of)
      return there if there
      raise TooMany if account_id && unfinished.where(account_id: account_id).count >= MOST

      create(asked: Sequel.pg_jsonb(asked), **of).tap { |job| DB.notify(CHANNEL, payload: job.id.to_s) }
    end

    # @return [Boolean] whether a process is there that does the work
    def self.worker?
      !DB[:pg_locks].where(locktype: "advisory", objid: LOCK, granted: true)
                    .where(database: DB[:pg_database].where(datname: Sequel.function(:current_database)).select(:oid))
                    .empty?
    end

    # @return [Hash{String => Integer}] how many there are of each state that was ever seen
    def self.counts = STATES.to_h { |state| [state, 0] }.merge(group_and_count(:state).as_hash(:state, :count))

    # The next to do: of the account that was served longest ago, its oldest.
    # @return [Job, nil] from now on going
    def self.claim
      served = DB[:jobs].from_self(alias: :others).where(Sequel[:others][:account_id] => Sequel[:jobs][:account_id])
      turn = where(state: "waiting").order(Sequel.lit("(?) NULLS FIRST", served.select { max(ended_at) }), :id)
      turn.first&.tap { |job| job.update(state: "going") }
    end

    # Those whose worker went away begin anew; what was made long ago goes.
    def self.take_up_again = where(state: "going").update(state: "waiting", done: 0)
    def self.tidy(now = Time.now) = where { created_at < now - KEPT }.delete

    def ready? = state == "ready"
    def failed? = state == "failed" || (!ready? && Time.now - created_at > LONGEST)

    # Says how far it is.
    def report(done, total)
      this.update(done: done, total: total)
      values.update(done: done, total: total)
    end

    # @param made [String, IO] bytes
    def finish(made)
      DB.transaction do
        put(made)
        update(state: "ready", ended_at: Time.now)
      end
    end

    def fail_with(reason) = update(state: "failed", trouble: reason, ended_at: Time.now)
  end
end
