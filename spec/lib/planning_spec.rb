# frozen_string_literal: true

RSpec.describe Rungs::Planning do
  it "has a usual lesson of activities whose minutes fit one" do
    usual = Rungs::Activity::USUAL.map { |id| Rungs::Activity::ALL.fetch(id) }
    expect(usual.sum(&:minutes)).to be_between(15, 30)
  end

  it "knows the choices of a class, the default first, and takes none that is not there" do
    turned = described_class::Setting::ALL.fetch("turned")
    expect([turned.choice("one"), turned.choice(nil), turned.choice("three")]).to eq(%w[one two two])
    expect(described_class::Setting::ALL.fetch("sentences").default).to eq("across")
  end

  it "has short cautions, one or two sentences each" do
    expect(Rungs::Caution::ALL.map { |each| each.words.split.size }).to all(be < 40)
    expect { Rungs::Caution.for("dragons") }.to raise_error(Rungs::Error::Unknown, /no caution “dragons”/)
  end
end

RSpec.describe Rungs::Activity::WrittenWay do
  it "keeps a way as written, or the larger first where turning round is no other way" do
    expect(described_class.text("2+4 +8", 14)).to eq("2 + 4 + 8 = 14")
    expect(described_class.text("2 + 4 + 8 = 14", 14, turned: "one")).to eq("8 + 4 + 2 = 14")
    expect(described_class.text("7 + 7 - 1", 13, turned: "one")).to eq("7 + 7 − 1 = 13")
  end

  it "gives every order of every three parts to 12 the same text where they are one way, and its own where not" do
    (1..4).to_a.repeated_permutation(3) do |parts|
      texts = parts.permutation.map { |order| described_class.text(order.join("+"), parts.sum, turned: "one") }
      expect(texts.uniq.size).to eq(1)
      expect(parts.permutation.map do |order|
        described_class.text(order.join("+"), parts.sum)
      end.uniq.size).to eq(parts.permutation.to_a.uniq.size)
    end
  end

  it "says what is off" do
    expect { described_class.text("8 + 3", 14) }.to raise_error(Rungs::Error::NotAProblem, "8 + 3 is 11, not 14")
    ["", "ten", "8 +", "8 × 2", "1" * 9].each do |text|
      expect do
        described_class.text(text, 14)
      end.to raise_error(Rungs::Error::NotAProblem, /write a way/)
    end
  end
end
