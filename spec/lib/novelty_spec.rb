# frozen_string_literal: true

require "spec_helper"

RSpec.describe Rungs::Planning::Novelty do
  def new_of(id, options = {}, met: [], **more)
    things = described_class.things(Rungs::Activity::ALL.fetch(id), options, **more)
    described_class.new_of(things, met.to_h { |thing| [thing, nil] })
  end

  it "says of every activity what it shows, whatever was chosen" do
    Rungs::Activity::ALL.each do |kind|
      kind.options.each do |option|
        option.choices.each do |choice|
          things = described_class.things(kind, { option.id => choice })
          expect(things).to include(["activity", kind.id]), "#{kind.id} #{choice}"
        end
      end
    end
    expect(described_class.pictures(Rungs::Activity::ALL.fetch("same_both_sides"), {})).to include("scale")
  end

  it "counts an activity with its pictures as one thing, and the usual parts of a lesson as none" do
    expect(new_of("ten_and_some")).to eq([%w[activity ten_and_some]])
    Rungs::Activity::USUAL.each { |id| expect(new_of(id)).to eq([]) }
  end

  it "counts a picture that comes by another choice of a known activity, and a situation; no numbers" do
    known = [%w[activity same_both_sides]]
    expect(new_of("same_both_sides", { "form" => "missing" }, met: known)).to eq([%w[picture scale]])
    expect(new_of("story_time", situation: "add_to.change")).to eq([%w[situation add_to.change]])
    expect(new_of("story_time", situation: "take_from.result")).to eq([])
  end

  it "has words for each" do
    words = { %w[activity twins] => "twins", %w[picture rack] => /the picture/,
              %w[situation add_to.change] => /the story “.+”/ }
    words.each { |thing, title| expect(described_class.title(*thing)).to match(title) }
  end
end

RSpec.describe Rungs::Problem::Situation do
  it "are taught from the first year's to where the start is asked or the word points the wrong way" do
    expect(described_class.taught("add").map(&:id)).to eq(%w[add_to.result together.total compare.bigger.more
                                                             take_from.start compare.bigger.fewer])
    expect(described_class.taught("subtract").map(&:id)).to start_with("take_from.result", "together.both",
                                                                       "add_to.change")
    expect(described_class.taught("subtract").last(2).map(&:id)).to eq(%w[add_to.start compare.smaller.more])
  end
end
