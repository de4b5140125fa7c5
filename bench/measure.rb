# frozen_string_literal: true

require_relative "size"

# Times blocks, prints figures, and remembers whether any was missed.
class Measure
  def initialize
    @missed = []
  end

  # The best of three: what the machine can do when nothing else runs.
  # @return [Float] seconds
  def seconds
    Array.new(3) do
      GC.start
      start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      yield
      Process.clock_gettime(Process::CLOCK_MONOTONIC) - start
    end.min
  end

  # @param floor [Float, nil] the figure must be at least this
  # @param ceiling [Float, nil] or at most this
  def figure(name, value, unit, floor: nil, ceiling: nil)
    puts "#{name}: #{value.round(value < 10 ? 2 : 0)} #{unit}"
    return if Size.small?

    @missed << "#{name} should be at least #{floor} #{unit}" if floor && value < floor
    @missed << "#{name} should be at most #{ceiling} #{unit}" if ceiling && value > ceiling
  end

  def finish
    @missed.each { |line| warn "missed: #{line}" }
    exit(@missed.empty? ? 0 : 1)
  end
end
