# frozen_string_literal: true

RSpec.describe Rungs::Activity::NumberString do
  described_class.moves.each do |id|
    it "leads to #{id} in four to six different problems, the last of which invites it" do
      move = Rungs::Strategy::Move::ALL.fetch(id)
      30.times do |seed|
        string = described_class.for(id, random: Random.new(seed))
        expect(string.problems.size).to be_between(4, 6)
        expect(string.problems.map(&:to_s).uniq.size).to eq(string.problems.size)
        expect(string.listen_for).to end_with("?")
        last = string.problems.last
        path = Rungs::Strategy::Path.by(last, id)
        expect(Rungs::Strategy::Pull.new(last).rung).to eq(move.rung)
        cheaper = last.paths.select { |each| each.rung.between?(3, 4) && each.move.id != id && each.work < path.work }
        expect(cheaper.map { |each| "#{last}: #{each.move.id}" }).to be_empty
        expect(last.parts.uniq.size).to be > 1 if id != "double"
      end
    end
  end

  it "has a string for every move of rungs 2 to 4 that some problem invites before others" do
    without = Rungs::Strategy::Move::ALL.select { |move| move.rung.between?(2, 4) }.map(&:id) - described_class.moves
    expect(without).to contain_exactly("five_and", "place_value_apart", "on_by_tens", "back_by_tens",
                                       "tens_then_ones_back")
    lead = described_class::Leads::ALL.fetch("family")
    landing = problems_to(20, situations: %w[add_to.result take_from.result]).select do |each|
      without.any? { |id| lead.lands?(Rungs::Strategy::Move::ALL.fetch(id), each) }
    end
    expect(landing).to be_empty
  end

  it "leads up through ten by a partner, the same and a bit, the target, and one without the help" do
    50.times do |seed|
      partner, bit, target, alone = described_class.for("up_through_ten", random: Random.new(seed)).problems
      expect(partner.whole).to eq(10)
      expect(bit.parts.first(2)).to eq(partner.parts)
      expect([target.first, target.second]).to eq([partner.first, partner.second + bit.parts[2]])
      expect(alone.band).to eq("bridge")
      expect(alone.fact).not_to eq(target.fact)
    end
  end

  it "is the same for the same seed, and refuses moves it has no string for" do
    strings = Array.new(2) { described_class.for("near_double", random: Random.new(4)).to_h }
    expect(strings[0]).to eq(strings[1])
    expect { described_class.for("recall", random: Random.new(1)) }.to raise_error(Rungs::Error::Unknown)
    expect { described_class.for("fly", random: Random.new(1)) }.to raise_error(Rungs::Error::Unknown)
  end
end

RSpec.describe Rungs::Activity::QuickLook do
  it "never shows the same number twice in a row, stays in its range, and can show none" do
    seen = [2, 5, 10, 15, 20, 30].flat_map do |to|
      3.times.flat_map do |seed|
        looks = described_class.set(to: to, count: 12, random: Random.new(seed))
        expect(looks.size).to eq(12)
        expect(looks.map(&:number)).to all(be_between(0, to))
        expect(looks.each_cons(2).select { |one, after| one.number == after.number }).to be_empty
        expect(looks.map { |look| look.picture.layout.counters.size }).to eq(looks.map(&:number))
        looks.map(&:number)
      end
    end
    expect(seen).to include(0, 20)
  end

  it "arranges only as many as can be seen so" do
    most = described_class::ARRANGEMENTS.to_h do |each|
      [each.id, (0..30).select do |number|
        each.show(number, Random.new(1))
      end.max]
    end
    expect(most).to include("ring" => 6, "scattered" => 7, "tones" => 10, "pairs" => 10, "die" => 6, "domino" => 12,
                            "frame" => 30)
  end

  it "tells the ways that children say: ten and some, one less" do
    ways = ->(number, arrangement) { described_class.again(number, arrangement, 1).ways.map(&:text) }
    expect(ways[14, "frame"]).to eq(["10 + 4", "5 + 5 + 4"])
    expect(ways[9, "frame"]).to include("10 − 1", "5 + 4")
    expect(ways[4, "ring"]).to include("5 − 1")
    expect(ways[19, "rack"]).to include("10 + 9", "20 − 1")
  end

  it "keeps to the arrangements asked for, and repeats with its seed" do
    looks = Array.new(2) do
      described_class.set(to: 10, random: Random.new(5), arrangements: %w[frame ring]).map(&:to_h)
    end
    expect(looks[0]).to eq(looks[1])
    expect(looks[0].map { |look| look[:arrangement] }.uniq).to match_array(%w[frame ring])
  end

  it "refuses what it cannot show, with the reason" do
    expect { described_class.set(to: 31, random: Random.new(1)) }.to raise_error(Rungs::Error::NotAProblem)
    expect do
      described_class.set(to: 5, random: Random.new(1),
                          arrangements: %w[stars])
    end.to raise_error(Rungs::Error::Unknown, /no arrangement “stars”/)
    expect do
      described_class.set(from: 12, to: 20, random: Random.new(1),
                          arrangements: %w[die])
    end.to raise_error(Rungs::Error::TooMany)
  end
end

RSpec.describe "A quick look as it was seen" do
  def look(arrangement, number) = Rungs::Activity::QuickLook.again(number, arrangement, 3)

  it "writes the expression of the groups that were tapped" do
    expect(look("ring", 5).seen([[1, 2, 3], [4, 5]]).text).to eq("3 + 2 = 5")
    expect(look("pairs", 5).seen([[1, 2], [3, 4], [5]]).text).to eq("2 + 2 + 1 = 5")
    expect(look("frame", 0).seen([]).text).to eq("none = 0")
    expect(look("frame", 7).seen_missing.text).to eq("10 − 3 = 7")
  end

  it "refuses what is in no group or in two, and what is missing from nothing" do
    ring = look("ring", 5)
    [[[1, 2]], [[1, 2, 3], [3, 4, 5]], [[1, 2, 3, 4, 5, 6]]].each do |groups|
      expect do
        ring.seen(groups)
      end.to raise_error(Rungs::Error::NotAProblem)
    end
    expect { ring.seen_missing }.to raise_error(Rungs::Error::NotAProblem)
  end

  it "is the same look again from what was kept of it" do
    Rungs::Activity::QuickLook.set(to: 12, count: 20, random: Random.new(2)).each do |each|
      expect(Rungs::Activity::QuickLook.again(each.number, each.arrangement, each.seed).to_h).to eq(each.to_h)
    end
  end

  it "offers each class the choices that fit it, and the default where nothing is known" do
    Rungs::Activity::ALL.each do |activity|
      expect(activity.fitted({})).to eq(activity.options.to_h { |option| [option.id, option.default] })
      Rungs::Problem::Band::ALL.ids.product(%w[add subtract]) do |band, operation|
        chosen = activity.fitted(band: band, operation: operation)
        activity.options.each { |option| expect(option.choices).to include(chosen[option.id]) }
      end
    end
    fitted = ->(id, band) { Rungs::Activity::ALL.fetch(id).fitted(band: band, operation: "subtract") }
    expect(%w[to5 to10 bridge to100].map { |band| fitted.call("quick_look", band)["to"] }).to eq([5, 10, 20, 30])
    expect(fitted.call("story_time", "teens")).to include("band" => "teens")
    expect(fitted.call("by_heart", "to5")).to eq("operation" => "subtract", "range" => "none")
  end
end
