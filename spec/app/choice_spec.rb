# frozen_string_literal: true

require "app_helper"

RSpec.describe Sheets::Choice do
  def choice(among, **more) = described_class.new(id: :per_page, label: "a page", among: among, **more)

  it "is a tick where it is no or yes, and has no names" do
    expect(choice([false, true]).yes_no?).to be(true)
    others = [[true, false], [false], [true, true], [false, false], [4, 6], 1..4]
    expect(others.map { |among| choice(among).yes_no? }.uniq).to eq([false])
    expect(choice([false, true], names: { true => "big" }).yes_no?).to be(false)
  end

  it "reads what was typed, from its list or its range, and refuses the rest naming what there is" do
    expect([choice([4, 6]).read("6"), choice([nil, "a"]).read(""), choice(1..40).read("40"), choice(1..40).read("1")])
      .to eq([6, nil, 40, 1])
    expect { choice([4, 6, nil]).read("5") }
      .to raise_error(Rungs::Error::Unknown, "there is no per page “5”; there are 4, 6")
    %w[0 41 x 010x].each do |given|
      expect { choice(1..40).read(given) }.to raise_error(Rungs::Error::Unknown, /it goes from 1 to 40/)
    end
  end

  it "says of a child’s sheet how large its type is" do
    size = Sheets::Fill.choices.find { |each| each.id == :large }
    expect(size.among.map { |large| size.say(large) }).to eq(%w[18 24])
  end

  it "says a value by its name" do
    expect([choice([4], names: { 4 => "four" }).say(4), choice([4]).say(4), choice([4], names: {}).say(5)])
      .to eq(%w[four 4 5])
  end
end
