# frozen_string_literal: true

RSpec.describe Rungs::Planning::Following do
  def aim(operation, range = "to10", rung = 2)
    Rungs::Planning::Aim.new(operation: operation, range: range, rung: rung)
  end

  def after(*weeks, reached: false) = described_class.after(weeks) { reached }.to_a.first(3)

  it "stays with the same where it was not reached, and leaves the rung to the children" do
    expect(after(aim("add"))).to eq(["add", "to10", nil])
    expect(after(aim("subtract", "bridge", 4), aim("add"))).to eq(["subtract", "bridge", nil])
  end

  it "goes on with the next rung of the range where it was, and past the last with the other operation" do
    expect(after(aim("add"), reached: true)).to eq(["add", "to10", 3])
    expect(after(aim("add", "tens", 3), reached: true)).to eq(["subtract", "tens", nil])
    expect(after(aim("add", "to10", nil), reached: true)).to eq(["add", "to10", nil])
  end

  it "turns to the other operation after two weeks of one, reached or not" do
    expect(after(aim("add"), aim("add", "to5"), reached: true)).to eq(["subtract", "to10", nil])
    expect(after(aim("subtract"), aim("subtract"))).to eq(["add", "to10", nil])
    expect(after(aim("add"), aim("subtract"), aim("subtract"), reached: true)).to eq(["add", "to10", 3])
  end

  it "gives the other operation its own range, never above this one’s" do
    turned = ->(own) { described_class.after([aim("add", "bridge")] * 2, own: ->(_) { own }) { false }.range }
    expect([turned.call("to10"), turned.call("tens")]).to eq(%w[to10 bridge])
  end

  it "never lets one aim stand for three weeks, whatever is reached" do
    [true, false].repeated_permutation(6).each do |reached|
      weeks = reached.each_with_object([aim("add", "bridge", 2)]) do |said, before|
        before.unshift(described_class.after(before) { said }.tap { |next_one| next_one.rung ||= 3 })
      end
      expect(weeks.each_cons(3).select { |three| three.uniq.one? }).to be_empty
    end
  end
end
