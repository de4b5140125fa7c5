# frozen_string_literal: true

require "sequel"

# Whoever serves from a database, or works for it, holds a lock on it for as long, so that no command replaces it
# meanwhile. The lock is its connection's: it goes when the process does.
module InUse
  # Shared by servers and workers; a command that replaces the database has it alone.
  LOCK = 4603
  # Seconds between two looks whether the connection is still there.
  LOOK = 5

  BUSY = "Rungs is running with this database. End it (Ctrl-C where bin/start runs), then try again."

  # Somebody uses the database.
  class Busy < StandardError; end

  module_function

  # From a thread of its own, on a connection that no pool of sessions shares.
  def hold(url = ENV["RUNGS_LISTEN_URL"] || ENV.fetch("DATABASE_URL"))
    Thread.new do
      loop do
        Sequel.connect(url, max_connections: 1) { |db| stay(db) }
      rescue Sequel::Error
        sleep 1
      end
    end
  end

  def stay(db)
    db.get(Sequel.function(:pg_advisory_lock_shared, LOCK))
    loop do
      sleep LOOK
      db.get(1)
    end
  end

  # @param url [String]
  # @yield while nobody uses that database
  # @raise [Busy]
  def alone(url)
    Sequel.connect(url, max_connections: 1) do |db|
      raise Busy, BUSY unless db.get(Sequel.function(:pg_try_advisory_lock, LOCK))

      yield
    end
  end
end
