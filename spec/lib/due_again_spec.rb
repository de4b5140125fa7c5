# frozen_string_literal: true

RSpec.describe Rungs::Planning::DueAgain do
  let(:monday) { Date.new(2026, 11, 2) }

  def due(*days) = described_class.of(days.map { |day| monday + day })&.on

  it "is due two, five and fifteen school days after the first, a weekend not counted" do
    expect(due(0)).to eq(Date.new(2026, 11, 4))
    expect(due(0, 2)).to eq(Date.new(2026, 11, 9))
    expect(due(0, 3, 8)).to eq(Date.new(2026, 11, 23))
    expect(due(0, 2, 7, 21)).to be_nil
    expect(described_class.of([monday + 3]).on).to eq(Date.new(2026, 11, 9))
  end

  it "counts no return before it was due, and one only where two would have been" do
    expect(due(0, 1)).to eq(Date.new(2026, 11, 4))
    expect(due(0, 30)).to eq(Date.new(2026, 11, 9))
    expect(described_class.of([monday, monday + 2]).since).to eq(monday)
  end
end
