# frozen_string_literal: true

RSpec.describe Rungs::Activity::Drawn do
  def drawn(text, wanted, **more) = described_class.new(problem(text), wanted, **more).steps
  def alts(...) = drawn(...).map { |step| step.layout.alt }

  # Every way a sum or a difference to twenty is asked.
  def facts
    (0..20).flat_map do |one|
      (0..20 - one).flat_map do |other|
        whole = one + other
        ["#{one} + #{other} = ?", "#{one} + ? = #{whole}", "? + #{other} = #{whole}", "#{whole} - #{one} = ?",
         "#{whole} - ? = #{other}", "? - #{one} = #{other}"]
      end
    end
  end

  it "draws the usual way of every rung that a fact to twenty affords, and ends it with its sentences" do
    facts.each_slice(7) do |text, *|
      asked = problem(text)
      asked.paths.map(&:rung).uniq.each do |rung|
        steps = described_class.new(asked, rung.to_s).steps
        expect([text, rung, steps.any?]).to eq([text, rung, true])
        expect(steps.last.lines).to eq(Rungs::Strategy::Path.usual(asked, rung).equations)
        expect(steps[0...-1].map(&:lines)).to all(be_nil)
      end
    end
  end

  it "draws a picture of the problem, with what leaves crossed out after it" do
    expect(alts("9 + 5 = ?", "frame")).to eq(["Two ten-frames: 9 and 5"])
    expect(alts("13 - 4 = ?", "objects")).to eq(["13 in rows", "13 in rows, 4 struck through"])
    expect(alts("3 + 2 = ?", "objects", things: ["red kite"])).to eq(["3 and 2 in rows"])
  end

  it "draws a move on the picture that is wished, and checks it by a second one at its end" do
    steps = drawn("8 + 7 = ?", "up_through_ten line frame", words: "8 boats and 7.")
    expect(steps.map { |step| [step.words, step.beside&.alt] }).to eq(
      [["8 boats and 7.", nil], ["8 boats and 7.", nil],
       ["8 boats and 7.", "Two ten-frames: 8 and 7, 2 moved across to fill the ten"]]
    )
    expect(drawn("8 + 7 = ?", "up_through_ten line rack").last.beside.alt).to include("A number rack")
  end

  it "draws a split of a child’s own where it is right" do
    expect(alts("8 + 7 = ?", "7:3,4 line").last).to eq("A number line to 20, starting at 8, jumps to 11, then 15")
    expect(drawn("8 + 7 = ?", "7:3,5 line")).to eq([])
  end

  it "has nothing for what there is not" do
    ["", "fly", "9", "0", "frame_of_mind", "make_ten_on_mars line", nil].each do |wanted|
      expect(drawn("8 + 7 = ?", wanted)).to eq([])
    end
    expect(drawn("3 + 2 = ?", "4")).to eq([])
  end
end

RSpec.describe Rungs::Activity::Bare do
  def items(texts)
    telling = Rungs::Activity::POSED
    texts.map { |text| telling.with.item(telling.data_for(problem(text), "")) }
  end

  it "shows a bare problem with nothing of its answer before it is checked, and writes it whole" do
    pairs = (0..10).to_a.product((0..10).to_a)
    texts = pairs.flat_map do |one, other|
      ["#{one} + #{other} = ?", "#{one + other} - #{one} = ?", "#{one} + ? = #{one + other}"]
    end
    items(texts).each do |item|
      ask, look, check, write = item.steps
      expect([ask, look].map { |step| step.layout.alt }).to all(include("hidden"))
      expect([ask.asked, check.equation, write.equation]).to eq([true, nil, item.problem.solved.to_s])
    end
  end

  it "keeps both sides level where both are sums, and jumps up to the whole where a part is missing" do
    both, missing, back = items(["8 + 4 = ? + 5", "7 + ? = 12", "12 - 5 = ?"])
    expect(both.steps.map { |step| step.layout.alt }).to eq(
      (["A balance: 8 + 4 and a number to find + 5, level"] * 2) +
      ["A balance: 8 + 4 and 7 + 5, level", "8 + 4 = 7 + 5"]
    )
    expect(missing.steps[2].layout.alt).to end_with("starting at 7, jumps to 12")
    expect(back.steps[2].layout.alt).to end_with("starting at 12, jumps to 7")
  end
end
