# frozen_string_literal: true

require "app_helper"

RSpec.describe Exchange::RecordLine do
  def read(**cells)
    line = { "child" => "Ada", "date" => "2026-11-20", "equation" => "9 + 5 = □", "rung" => "count_on", **cells }
    described_class.read(line, 3)
  end

  it "is right where nothing was said of the answer, or the right one" do
    expect([nil, "14", "13"].map { |answer| read("answer" => answer).record.right }).to eq([true, true, false])
  end

  it "takes a rung by its name or its number, and what is off the ladder, which has none" do
    told = %w[make_ten 4 no_answer guess unseen].map { |text| read("rung" => text).record }
    expect(told.map(&:rung)).to eq([4, 4, nil, nil, nil])
  end

  it "says in which line what stands that cannot be" do
    { { "date" => "yesterday" } => /line 3: .*not a date/, { "rung" => "flying" } => /line 3/,
      { "equation" => "9 + = □" } => /line 3/ }.each do |cells, words|
      expect { read(**cells) }.to raise_error(Rungs::Error::Unreadable, words)
    end
  end
end
