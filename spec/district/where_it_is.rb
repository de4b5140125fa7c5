# frozen_string_literal: true

# Says every ten seconds which example is under way and since when: what kills servers takes its time.
module WhereItIs
  SECONDS = 10

  class << self
    attr_accessor :example, :since

    def tell
      loop do
        sleep SECONDS
        next unless example

        $stdout.puts format("district: %<what>s, %<since>d s", what: example, since: clock - since)
        $stdout.flush
      end
    end

    def clock = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  end
end

RSpec.configure do |config|
  config.before(:suite) { Thread.new { WhereItIs.tell } }
  config.before(:context) { WhereItIs.since, WhereItIs.example = WhereItIs.clock, "laying it out" }
  config.before do |example|
    WhereItIs.since, WhereItIs.example = WhereItIs.clock, example.description
  end
end
