# frozen_string_literal: true

# Numbers of items that a teacher changes.
RSpec.describe Rungs::Activity::ByHand do
  # Of every choice of an activity's options the first item of a set.
  def first_items(activity)
    activity.options.reject { |option| option == Rungs::Activity::Ranged::OPTION }.flat_map do |option|
      option.choices.first(5).filter_map do |choice|
        kind = activity.with(option.id => choice)
        [kind, kind.data(seed: 3).first]
      rescue Rungs::Error
        nil
      end
    end
  end

  def typed(kind, data)
    one, *rest = kind.numbers_at(data)
    rest.empty? ? (0..24).zip : (0..11).to_a.product((0..11).to_a).map { |pair| [*pair, *rest.drop(1)] }.uniq
  rescue NoMethodError
    [[one]]
  end

  Rungs::Activity::ALL.each do |activity|
    it "of #{activity.id}: holds what it takes, and refuses the rest in a sentence", :seeds do
      some(first_items(activity), 2).each do |kind, data|
        expect(kind.numbers_at(data).size).to eq(kind.hand(data).size)
        next if kind.hand(data).empty?

        expect(kind.numbers_at(kind.with_numbers(data, kind.numbers_at(data)))).to eq(kind.numbers_at(data))
        typed(kind, data).each do |numbers|
          made = kind.with_numbers(data, numbers)
          expect(kind.numbers_at(made)).to eq(numbers)
          item = kind.item(made)
          expect(item.steps.map { |step| step.layout.marks.size }).to all(be_positive)
          expect(item.answer).to eq(item.problem.answer) if item.problem && !item.problem.many_answers?
        rescue Rungs::Error::NotAProblem => e
          expect(e.message).to match(/\A[A-Z].*: .*\.\z/)
        end
      end
    end
  end

  it "takes as many numbers as there are, and only such" do
    kind = Rungs::Activity::ALL.fetch("two_groups").with
    data = { first: 4, second: 3, thing: "shell" }
    [[4], [4, 3, 2], [4, nil], [4, -1], [4, 1001], ["4", 3]].each do |numbers|
      expect { kind.with_numbers(data, numbers) }
        .to raise_error(Rungs::Error::NotAProblem, "Give here and there, each a number from 0 to 1000.")
    end
    expect { kind.with_numbers(data, [6, 5]) }
      .to raise_error("Two groups together cannot hold 6 and 5 here: 10 together at most.")
    expect(kind.with_numbers(data, [10, 0])).to eq(first: 10, second: 0, thing: "shell")
    plan = Rungs::Activity::ALL.fetch("plan_for_it").with
    expect { plan.with_numbers(plan.data(seed: 1).first, []) }
      .to raise_error("There is no number to change here.")
  end

  it "holds each activity's edges" do
    held = lambda do |id, chosen, data, numbers|
      Rungs::Activity::ALL.fetch(id).with(chosen).with_numbers(data, numbers)
    rescue Rungs::Error::NotAProblem
      nil
    end
    frame = { frame: 10, first: 4, more: 6 }
    expect([0, 9, 10].map { |first| held.call("fill_the_frame", {}, frame, [first])&.fetch(:more) }).to eq([10, 1, nil])
    two = { frame: "two", first: 9, more: 5 }
    sums = [[6, 5], [6, 4], [9, 9], [10, 5]].map { |pair| held.call("fill_the_frame", { "frame" => "two" }, two, pair) }
    expect(sums.map(&:nil?)).to eq([false, true, false, true])
    look = { number: 3, arrangement: "ring" }
    expect(held.call("quick_look", {}, look, [9])).to eq(number: 9, arrangement: "frame")
    expect(held.call("quick_look", { "arrangement" => "ring" }, look, [9])).to be_nil
    near = { half: 3, near: true, total: 7 }
    expect(held.call("twins", { "near" => "yes" }, near, [5])).to eq(half: 5, near: true, total: 11)
    sides = { left: [8], right: [3, 4], missing: nil, holds: false }
    expect(held.call("same_both_sides", { "form" => "true_or_not" }, sides, [2, 4]))
      .to include(left: [7], right: [2, 4])
    sign = { sign: "plus", problem: "2 + 3 = 5", belongs: "plus" }
    expect(held.call("meet_a_sign", {}, sign, [1, 4])).to include(problem: "1 + 4 = 5")
    expect(held.call("meet_a_sign", {}, sign, [2, 4])).to be_nil
    cards = { problem: "6 + 4 = □", answers: [10, 3] }
    expect(held.call("match_up", {}, cards, [7, 3])).to eq(problem: "7 + 3 = □", answers: [10, 3])
    expect(held.call("match_up", {}, cards, [6, 3])).to be_nil
    riddle = held.call("number_riddle", {}, { answer: 2, clues: [], left: [], fits: [] }, [7])
    expect(riddle.values_at(:answer, :left).flatten.values_at(0, -1)).to eq([7, 7])
  end

  it "tells a story again with other numbers, and its own words number for number" do
    kind = Rungs::Activity::POSED.with
    data = kind.data(seed: 5).first
    before = kind.numbers_at(data)
    after = kind.with_numbers(data, [1, 6])
    expect(after[:parts]).to eq([1, 6])
    expect(kind.with_numbers(after, before)).to eq(data)
    own = { **data, words: "At 10 o’clock #{before[0]} came, then #{before[1]}. How many?" }
    expect(kind.with_numbers(own, [4, 5])[:words]).to eq("At 10 o’clock 4 came, then 5. How many?")
    expect { kind.with_numbers(data, [60, 60]) }.to raise_error(Rungs::Error::NotAProblem, /no room/)
    bare = Rungs::Activity::POSED.data_for(Rungs::Problem::Equation.parse("8 + ? = 12").to_problem, "")
    expect(kind.with_numbers(bare, [9, 15])).to include(equation: "9 + □ = 15")
    expect { kind.with_numbers(bare, [9, 5]) }.to raise_error(Rungs::Error::NotAProblem)
  end
end
