# frozen_string_literal: true

require "json"
require "time"

# What is said to whoever keeps the machine. With RUNGS_LOG=json a line of JSON each, with the request's id, on standard
# output; else only what went wrong, on standard error. Never a name, nor what somebody typed.
module Log
  module_function

  def lines? = ENV["RUNGS_LOG"] == "json"

  # @param what [Hash] of numbers, ids and words of this program
  def line(**what)
    said = { at: Time.now.utc.iso8601(3), **what, request: Thread.current[:rungs_request] }
    $stdout.syswrite("#{said.compact.to_json}\n")
  end

  # The kind of an error and where it happened; its message may hold what a person typed.
  def trouble(error)
    where = error.backtrace.to_a.grep_v(%r{/vendor/}).first(12)
    return warn(error.class.name, *where) unless lines?

    line(level: "error", error: error.class.name, where: where)
  end
end
