# frozen_string_literal: true

RSpec.describe Rungs::Activity::InWords do
  def say(...) = described_class.say(...)

  it "says with words what was not met yet" do
    { "2 + 4 = 6" => ["2 + 4 = 6", "2 + 4 make 6", "2 and 4 make 6"],
      "6 = 2 + 4" => ["6 = 2 + 4", "6 is 2 + 4", "6 is 2 and 4"],
      "2 + □ = 6" => ["2 + □ = 6", "2 + □ make 6", "2 and □ make 6"],
      "1 + 2 + 3 = □" => ["1 + 2 + 3 = □", "1 + 2 + 3 make □", "1 and 2 and 3 make □"],
      "8 + 4 = □ + 5" => ["8 + 4 = □ + 5", "8 + 4 are as many as □ + 5", "8 and 4 are as many as □ and 5"],
      "5 − 2 = 3" => ["5, 2 go, 3 are left"] * 3, "2 − 1 = 1" => ["2, 1 goes, 1 is left"] * 3,
      "5 − □ = 3" => ["5, □ go, 3 are left"] * 3, "3 = 5 − 2" => ["5, 2 go, 3 are left"] * 3,
      "2 + 4" => ["2 + 4", "2 + 4", "2 and 4"], "7" => %w[7 7 7] }.each do |sentence, said|
      expect(%w[plus_equals plus none].map { |met| say(sentence, met) }).to eq(said)
      expect(say(sentence, "all")).to eq(sentence)
    end
    expect(say(nil, "none")).to be_nil
  end

  it "leaves no sign that was not met on any board or sheet, and draws and says the same numbers" do
    Rungs::Activity::ALL.each do |activity|
      described_class::MET.each do |met, signs|
        items = activity.with({}, { signs: met }).items(seed: 3)
        plain = activity.with.items(seed: 3)
        items.zip(plain) do |item, usual|
          shown = [item.equation, *item.steps.map(&:equation)].compact
          expect([activity.id, met, shown.join.scan(/[+−=]/) - signs]).to eq([activity.id, met, []])
          expect(item.steps.map { |step| step.equation.to_s.scan(/\d+/).sort })
            .to eq(usual.steps.map { |step| step.equation.to_s.scan(/\d+/).sort })
          expect(item.steps.filter_map(&:aloud)).to all(match(/\S/))
        end
      end
    end
  end

  it "stands as a picture with room for every word" do
    layout = Rungs::Picture::Sentence.new("2 and □ make 6").layout
    spans = layout.marks.map(&:x)
    expect([spans, layout.width]).to match([spans.sort, be > 4])
  end
end
