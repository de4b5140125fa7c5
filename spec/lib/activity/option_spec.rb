# frozen_string_literal: true

require "spec_helper"

RSpec.describe Rungs::Activity::Option do
  def fitted(id, band) = Rungs::Activity::ALL.fetch(id).fitted({ band: band, operation: "add" })

  it "takes the smallest that reaches as far as the range, or the default where that does not go further" do
    by_band = { "to5" => [5, "1-5", "0-5", 5, 5], "to10" => [5, "1-5", "0-5", 8, 5],
                "bridge" => [10, "0-10", "1-6", 8, 5] }
    by_band.each do |band, (half, cards, dice, counters, number)|
      expect(fitted("twins", band)).to include("to" => half)
      expect(fitted("two_cards", band)).to include("cards" => cards)
      expect(fitted("dice_mat", band)).to include("dice" => dice)
      expect(fitted("toss", band)).to include("n" => counters)
      expect(fitted("all_the_ways", band)).to include("n" => number)
    end
  end

  it "knows how far the numbers of every choice go, and never takes one that is not there" do
    Rungs::Activity::ALL.each do |kind|
      kind.options.select(&:sized?).each do |option|
        option.choices.each { |choice| expect(option.reach_of(choice)).to be_between(1, 100) }
        Rungs::Problem::Band::ALL.ids.each { |band| expect(option.choices).to include(option.fit({ band: band })) }
      end
    end
  end

  it "says how far the items of an activity go" do
    Rungs::Activity::ALL.each do |kind|
      made = kind.with
      reach = kind.reach(made.chosen) or next
      wholes = made.items(seed: 4).filter_map { |item| item.problem&.whole }
      expect(wholes.max.to_i).to be <= reach, kind.id
    end
  end

  it "fits a story to a situation that is wanted" do
    expect(Rungs::Activity::POSED.fitted({ situation: "add_to.change" })).to include("situation" => "add_to.change")
    expect(Rungs::Activity::POSED.fitted({})).to include("situation" => "add_to.result")
  end
end
