# frozen_string_literal: true

# How long this thread’s request has waited for the database.
module Spent
  KEY = :rungs_database

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

  def anew = Thread.current[KEY] = 0.0
  def seconds = Thread.current[KEY] || 0.0
end
