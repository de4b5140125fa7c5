# frozen_string_literal: true

require "json"
require "time"

# What is said to whoever keeps the machine: with RUNGS_LOG=json in lines of JSON on standard output, each with the id
# of the request that it is about, and no name nor anything that somebody typed; else only what went wrong, on standard
# error.
module Log
  module_function

  def lines? = ENV["RUNGS_LOG"] == "json"

  # @param what [Hash] of numbers, ids and words of this program
  # @return [String]
  def text(**what)
    { at: Time.now.utc.iso8601(3), **what, request: Thread.current[:rungs_request] }.compact.to_json
  end

  def line(**what) = $stdout.syswrite("#{text(**what)}\n")

  # @param words [String] a sentence of this program
  # @param plain [#to_s] the same for whoever reads it where Rungs was started, who may know names
  def say(words, plain: words, **what) = lines? ? line(**what, says: words) : warn(plain)

  # The kind of an error and where it happened; its message may hold what a person typed.
  def trouble(error)
    where = error.backtrace.to_a.grep_v(%r{/vendor/}).first(12)
    lines? ? line(level: "error", error: error.class.name, where: where) : warn(error.class.name, *where)
  end
end
