# frozen_string_literal: true

RSpec.describe Rungs::Clip::Maker do
  def scenes(count = 1, **of) = described_class.new(**of).scenes(count)
  def names(scene) = scene.heard.map(&:move)

  Rungs::Strategy::Move::ALL.ids.each do |move|
    it "has clips of #{move}, whose numbers are heard as it, and says whether they are heard as nothing else" do
      (1..4).flat_map { |seed| scenes(3, move: move, seed: seed) }.each do |scene|
        expect([scene.move, scene.code]).to eq([move, Rungs::Strategy::Move::ALL[move].rung_id])
        expect(names(scene)).to include(move), "#{scene.problem}: #{scene.numbers} is heard as #{names(scene)}"
        expect(scene.telling?).to eq(names(scene).uniq == [move])
        expect(scene.numbers.last).to eq(scene.problem.answer) unless scene.problem.two_sided?
      end
    end
  end

  with_strategy = Rungs::Slip::ALL.select { |slip| slip.rungs.any? }.map(&:id).uniq

  it "has clips of every slip that belongs to a strategy, which come to its answer, and says where nobody could tell" do
    with_strategy.each do |slip|
      (1..3).flat_map { |seed| scenes(2, slip: slip, seed: seed) }.each do |scene|
        entry = Rungs::Slip.on(scene.problem, slip)
        expect([slip, entry.answers(scene.problem)]).to match([slip, include(scene.numbers.last)])
        expect(entry.rungs).to include(scene.code)
        told = names(scene).include?(scene.move)
        expect([scene.to_s, told || scene.why.include?("do not tell")]).to eq([scene.to_s, true])
        expect(scene.telling?).to be(false) unless told
      end
    end
  end

  it "counts so that the hearing of its numbers finds the slip of a count" do
    scenes(12, slip: "start_counted", situation: "add_to.result", seed: 2).each do |scene|
      expect(scene.heard.map(&:slip)).to include("start_counted")
    end
  end

  it "has clips off the ladder: nobody saw how after five seconds, a guess that no slip gives, nothing said" do
    unseen, guess, nothing = %w[unseen guess no_answer].map { |code| scenes(6, code: code, seed: 4) }
    unseen.each do |scene|
      expect([scene.numbers, scene.heard.map(&:rung)]).to eq([[scene.problem.answer], ["unseen"]])
      expect(scene.seconds).to be >= 5
    end
    guess.each do |scene|
      said = Rungs::Slip.for(scene.problem).flat_map { |slip| slip.answers(scene.problem) }
      expect([*said, scene.problem.answer]).not_to include(*scene.numbers)
      expect(scene.seconds).to be <= 3
    end
    heard = nothing.map { |scene| [scene.numbers, scene.said.map(&:words), scene.telling?] }
    expect(heard.uniq).to eq([[[], [""], false]])
    expect([*unseen, *guess, *nothing].filter_map(&:move)).to eq([])
  end

  it "is made of what was asked for, the same for the same, no problem twice" do
    first, again = Array.new(2) { scenes(12, band: "bridge", situation: "add_to.result", seed: 9).map(&:to_h) }
    expect(first).to eq(again)
    expect(first.map { |scene| scene[:problem].values_at(:band, :situation) }.uniq).to eq([%w[bridge add_to.result]])
    expect(first.map { |scene| scene[:equation] }.uniq.size).to eq(12)
    expect(scenes(12, seed: 10).map(&:to_h)).not_to eq(scenes(12, seed: 11).map(&:to_h))
  end

  it "has every rung, and now and then what is off the ladder" do
    tally = scenes(80, seed: 3).map(&:code).tally
    expect(tally.keys).to include(*Rungs::Strategy::Rung::ALL.ids)
    expect(tally.slice(*Rungs::Strategy::OffLadder::ALL.ids).values.sum).to be_between(1, 25)
  end

  it "pauses where something is thought, and counts briskly, with what the hands do told so far" do
    scenes(8, move: "on_first", band: "bridge", seed: 5).each do |scene|
      start, *steps = scene.said
      expect(steps.map(&:pause_s)).to all(be_between(0.5, 0.9))
      expect(start.pause_s).to be >= 1.6
      counts = scene.said.reject { |each| each.hands == "none" }.map(&:so_far)
      expect(counts).to eq([*1..counts.size])
    end
    through = scenes(8, move: "up_through_ten", seed: 5)
    expect(through.map { |scene| scene.said[1].pause_s }).to all(be >= 1.6)
    hands = through.map { |scene| [scene.said[1].hands, scene.said[1].so_far] }.uniq
    expect(hands).to all(satisfy { |kind, count| kind == "none" ? count.zero? : kind == "move" && count.positive? })
    objects = scenes(6, move: "all_remove", seed: 5).flat_map(&:said)
    expect(objects.map(&:hands).uniq).to match_array(%w[touch move])
    said = scenes(40, seed: 6).flat_map(&:said)
    expect(said.map(&:hands).uniq - Rungs::Clip::Said::HANDS).to eq([])
    expect(scenes(6, move: "recall", seed: 1).map(&:seconds)).to all(be <= 3)
  end

  it "says which word shows it" do
    expect(scenes(6, move: "up_through_ten", seed: 1).map(&:shows).uniq).to eq([1])
    expect(scenes(6, move: "on_larger", seed: 1).map(&:shows).uniq).to eq([0])
    expect(scenes(6, move: "double", seed: 1).map { |scene| scene.shows < scene.said.size }).to all(be(true))
  end

  it "refuses what there is not" do
    expect { described_class.new(move: "by_magic") }.to raise_error(Rungs::Error::Unknown, /no move “by_magic”/)
    expect { described_class.new(slip: "by_magic") }.to raise_error(Rungs::Error::Unknown, /no slip/)
    expect { scenes(move: "up_through_ten", band: "to5") }.to raise_error(Rungs::Error::NotAProblem, /no problem/)
  end
end
