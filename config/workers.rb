# frozen_string_literal: true

require "etc"

# How many processes serve: one a core, as far as memory goes.
module Workers
  # Megabytes that one needs, with what the database does for it; what is left to everything else.
  EACH = 300
  REST = 400

  module_function

  # @param cores [Integer]
  # @param free [Integer] megabytes
  # @return [Integer] 1 or more; RUNGS_WORKERS says otherwise
  def number(cores: Etc.nprocessors, free: Workers.free)
    asked = ENV.fetch("RUNGS_WORKERS", nil)
    asked ? Integer(asked) : ((free - REST) / EACH).clamp(1, cores)
  end

  def free
    File.read("/proc/meminfo")[/MemAvailable:\s+(\d+)/, 1].to_i / 1024
  rescue SystemCallError
    0
  end
end
