# frozen_string_literal: true

# How long this thread’s request has waited for the database, and which copy of it was read, if any.
module Spent
  KEY = :rungs_database
  READ = :rungs_read

  # For the one database: adds up what each statement takes.
  module Statements
    def log_connection_yield(sql, conn, args = nil)
      started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      super
    ensure
      Thread.current[KEY] = Spent.seconds + Process.clock_gettime(Process::CLOCK_MONOTONIC) - started
    end
  end

  module_function

  def anew
    Thread.current[KEY], Thread.current[READ] = 0.0, nil
  end

  def read_from(database) = Thread.current[READ] = database
  def read = Thread.current[READ]
  def seconds = Thread.current[KEY] || 0.0
end
