# frozen_string_literal: true

RSpec.describe Rungs::Planning::AtHome do
  it "has a game in every range, with numbers of that range, for adding and for taking away" do
    Rungs::Problem::Band::ORDER.product(%w[add subtract], [2, 3]).each do |range, operation, rung|
      aim = Rungs::Planning::Aim.new(operation: operation, range: range, rung: rung)
      told = described_class.new(aim: aim, range: range, seed: 4, things: "pebbles")
      expect(told.problems.map { |each| [each.band, each.operation] }.uniq).to eq([[range, operation]])
      expect(told.game).to match(/\ALay out \d+ pebbles.*\?\z/)
      expect(told.doing).to start_with("This week: ").and end_with(".")
      expect([told.others, told.game].join).not_to match(/rung|count all|known fact/)
    end
  end

  it "is another for another child, and the same again for the same" do
    aim = Rungs::Planning::Aim.new(operation: "add", range: "bridge", rung: 4)
    games = [1, 2, 1].map { |seed| described_class.new(aim: aim, range: "bridge", seed: seed).game }
    expect([games[0] == games[2], games[0] == games[1]]).to eq([true, false])
    expect(games[0]).to include("buttons")
  end

  it "plays with what stands in for the week’s things and lies on a table, never with fingers" do
    things = ->(id) { described_class.things(Rungs::Activity::ALL.fetch(id).materials) }
    expect(%w[twins toss story_time number_string].map(&things)).to eq(["buttons", "beans", nil, nil])
    expect(Rungs::Activity::ALL.ids.filter_map(&things) - described_class::ON_A_TABLE).to eq([])
  end
end
