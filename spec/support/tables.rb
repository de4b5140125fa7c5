# frozen_string_literal: true

require "json"
require "zlib"

# What the core gives for many small cases, kept case by case as a sum of its text, so that a change anywhere shows as
# the cases that became others. `WRITE=1 bundle exec rspec spec/lib/tables` keeps what it gives now: look first whether
# each case that it names ought to have changed.
module Tables
  FOLDER = File.expand_path("../fixtures/tables", __dir__)
  IN_A_LINE = 12

  # @param name [String] of the table
  # @param cases [Hash{String => Object}] what is kept of each, as its JSON; always in the same order
  def expect_table(name, cases)
    file = File.join(FOLDER, "#{name}.txt")
    now = cases.values.map { |shape| format("%08x", Zlib.crc32(JSON.generate(shape))) }
    File.write(file, now.each_slice(IN_A_LINE).map { |sums| "#{sums.join(' ')}\n" }.join) if ENV["WRITE"]
    before = File.read(file).split
    others = cases.each_with_index.reject { |_, place| before[place] == now[place] }.map(&:first)
    told = others.first(5).map { |key, shape| "#{key} is now\n#{JSON.pretty_generate(shape)}" }
    expect([others.size, before.size]).to eq([0, now.size]), "#{others.size} cases differ. #{told.join("\n")}"
  end
end

RSpec.configure { |config| config.include Tables }
