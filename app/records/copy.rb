# frozen_string_literal: true

module Records
  # A copy of everything that was made, and whether it was tried and found complete.
  class Copy < Sequel::Model(:copies)
    # After so many seconds without a good one that is said in red.
    LATE = 2 * 86_400
    # From this hour on, UTC, the day's copy is made.
    HOUR = 2

    # @return [Copy, nil] the last good one
    def self.last_good = where(good: true).reverse(:made_at).first

    # Whether copies were made, but no good one for days.
    def self.late?(now = Time.now) = !empty? && (last_good.nil? || last_good.made_at < now - LATE)

    # Whether the day's copy is still to be made.
    def self.due?(now = Time.now)
      since = Time.utc(now.utc.year, now.utc.month, now.utc.day, HOUR)
      since -= 86_400 if since > now
      where { made_at >= since }.empty?
    end

    # @param backups [Backups]
    # @return [Backups::Made, nil] nil where another process makes one
    # @raise [Backups::Failure] which is kept too
    def self.make(backups, now: Time.now)
      DB.synchronize do
        return unless DB.get(Sequel.function(:pg_try_advisory_lock, Backups::LOCK))

        begin
          make_and_record(now, backups)
        ensure
          DB.get(Sequel.function(:pg_advisory_unlock, Backups::LOCK))
        end
      end
    end

    def self.make_and_record(now, backups)
      made = backups.make(now: now)
      create(made_at: now, file: File.basename(made.file), bytes: made.bytes, rows: made.counted, good: true)
      made
    rescue Backups::Failure => e
      create(made_at: now, file: "", bytes: 0, rows: 0, good: false, trouble: e.message)
      raise
    end
    private_class_method :make_and_record
  end
end
