# frozen_string_literal: true

require "spec_helper"

RSpec.describe Rungs::FirstNames do
  it "is the first name, and as much of the rest as tells two apart" do
    names = ["Ada Brook", "Ada Bell", "Ada", "Bo Lind", "Cleo", "Dag Ek Berg", "Eda A", "Eda B."]
    expect(described_class.of(names)).to eq(
      "Ada Brook" => "Ada Br.", "Ada Bell" => "Ada Be.", "Ada" => "Ada", "Bo Lind" => "Bo", "Cleo" => "Cleo",
      "Dag Ek Berg" => "Dag", "Eda A" => "Eda A", "Eda B." => "Eda B."
    )
  end

  it "leaves all names different, and short ones as they are, whatever the rest" do
    rests = ["", " B", " Be", " Bell", " Bella", " C. D", " Cd"]
    (1..rests.size).each do |size|
      rests.combination(size) do |some|
        short = described_class.of(some.map { |rest| "Ada#{rest}" }).values
        expect(short.uniq).to eq(short)
        expect(described_class.of(short).values).to eq(short)
      end
    end
  end
end
