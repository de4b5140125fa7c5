# frozen_string_literal: true

require_relative "../in_use"

# What draws and writes beside the server, as a process of its own; it ends when whoever watches over it is gone.
module Worker
  module_function

  # @param lock [File] what says that Rungs runs from here: not the worker’s to hold
  # @return [Integer] its process
  def start(lock)
    watching = Process.pid
    fork do
      lock.close
      trap("INT", "IGNORE")
      trap("TERM", "DEFAULT")
      Thread.new do
        sleep 0.5 while Process.ppid == watching
        exit!
      end
      InUse.hold
      Jobs::Worker.new.run
    end
  end

  # What it had under way begins anew with the next.
  def stop(pid)
    Process.kill(:KILL, pid) && Process.wait(pid)
  rescue Errno::ESRCH, Errno::ECHILD
    nil
  end
end
