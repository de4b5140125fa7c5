# frozen_string_literal: true

require "app_helper"

# How views are written: a line is one tag or one thought, and a view asks its page.
RSpec.describe "Views" do
  views = Dir[File.join(Rungs::ROOT, "app/pages/**/*.erb")]

  it "have no line over 120 characters" do
    long = views.flat_map { |file| File.readlines(file).grep(/.{121,}/).map { |line| [File.basename(file), line] } }
    expect(long).to eq([])
  end

  it "ask their page and no instance variable, but for what is around a page, and the board" do
    apart = %w[layout.erb page.erb _header.erb board.erb _nothing.erb _step.erb code.erb]
    asking = views.reject do |file|
      apart.include?(File.basename(file))
    end.select { |file| File.read(file).match?(/@[a-z]/) }
    expect(asking.map { |file| file.delete_prefix(Rungs::ROOT) }).to eq([])
  end
end
