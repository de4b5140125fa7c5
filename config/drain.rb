# frozen_string_literal: true

require "io/wait"

# Ending without losing a request: for RUNGS_DRAIN seconds after TERM a server says that it is not ready, so that
# whoever shares out requests sends no more, and goes on answering; only then does it end.
module Drain
  # Readable in every process of the server as soon as its main process has closed the other end.
  PIPE = IO.pipe.freeze
  ASKED = PIPE.first
  ENDING = PIPE.last
  private_constant :PIPE

  module_function

  def seconds = Integer(ENV.fetch("RUNGS_DRAIN", "0"))
  def begun? = !ASKED.wait_readable(0).nil?

  # In a process that was forked: it may know, and not hold it up.
  def only_asked = ENDING.close

  # Called once the server has set up its own way of ending, which is gone after the pause.
  def on_term
    own = trap("TERM") do
      Thread.new do
        ENDING.close
        sleep seconds
        trap("TERM", own)
        Process.kill(:TERM, Process.pid)
      end
    end
  end
end
