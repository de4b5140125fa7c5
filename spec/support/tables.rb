# frozen_string_literal: true

require "json"
require "zlib"

# What the core gives for many small cases, kept case by case as a sum of its text, so that a change anywhere shows as
# the cases that became others. `WRITE=1 bin/test spec/lib/tables` keeps what it gives now: look first whether each
# case that it names ought to have changed.
module Tables
  FOLDER = File.expand_path("../fixtures/tables", __dir__)

  # @param name [String] of the table
  # @param cases [Hash{String => Object}] what is kept of each, as its JSON
  def expect_table(name, cases)
    file = File.join(FOLDER, "#{name}.txt")
    now = cases.transform_values { |shape| format("%08x", Zlib.crc32(JSON.generate(shape))) }
    File.write(file, now.map { |key, sum| "#{sum} #{key}\n" }.join) if ENV["WRITE"]
    before = File.readlines(file, chomp: true).to_h { |line| line.split(" ", 2).reverse }
    others = cases.reject { |key, _| before[key] == now[key] }
    told = others.first(5).map { |key, shape| "#{key} is now\n#{JSON.pretty_generate(shape)}" }
    expect([others.size, before.keys - cases.keys]).to eq([0, []]), "#{others.size} cases differ. #{told.join("\n")}"
  end
end

RSpec.configure { |config| config.include Tables }
