# frozen_string_literal: true

# How much is tried of what is drawn, or of many cases alike: a few for every change, all in bin/test deep. An example
# that asks is tagged :seeds, so that it runs in both.
module Depth
  DEEP = ENV["RUNGS_TESTS"] == "deep"

  # @param most [Integer] in deep
  # @return [Range<Integer>] from 1
  def seeds(most = 50, few: 5) = 1..(DEEP ? most : few)

  # @param all [Array]
  # @return [Array] all of them, or a few from its first to its last
  def some(all, few = 6)
    return all if DEEP || all.size <= few

    Array.new(few) { |index| all[index * (all.size - 1) / (few - 1)] }
  end
end

RSpec.configure do |config|
  config.include Depth
  config.extend Depth
end
