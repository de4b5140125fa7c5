# frozen_string_literal: true

RSpec.describe Rungs::Activity, :seeds do
  def made(id, **chosen) = described_class::ALL.fetch(id).with(chosen.transform_keys(&:to_s))

  def tries(id, **options)
    options.values.reduce(&:product).map { |chosen| options.keys.zip([chosen].flatten).to_h }
           .product(seeds(25, few: 9).to_a).each { |chosen, seed| yield made(id, **chosen), chosen, seed }
  end

  # What the board shows before the check, numerals of its pictures too.
  def before_check(item)
    steps = item.steps.take_while { |step| step.name != "check" }
    steps.flat_map { |step| [step.words, step.equation, *step.layout.marks.map(&:text)] }.compact.join(" ")
  end

  describe "meet_a_sign" do
    it "introduces the sign twice, then asks for two of it, one of each other and one of none, in no order" do
      orders = Hash.new { |all, sign| all[sign] = [] }
      tries("meet_a_sign", sign: %w[plus equals minus], to: [5, 10], equals_first: %w[no yes]) do |kind, chosen, seed|
        set = kind.data(seed: seed)
        belonging = set.map { |data| data[:belongs] }
        expect(set.map { |data| data[:sign] }.uniq).to eq([chosen[:sign]])
        expect(belonging.first(2)).to eq([chosen[:sign]] * 2)
        others = %w[plus equals minus] - [chosen[:sign]]
        expect(belonging.drop(2).sort).to eq([chosen[:sign], chosen[:sign], *others, "none"].sort)
        orders[chosen[:sign]] << belonging.drop(2)
        expect(belonging.drop(2).each_cons(2).map { |one, other| one == other }).to all(be(false))
        expect(set.find { |data| data[:belongs] == "none" }[:problem]).to match(/\A\d+\z/)
        expect(set.map { |data| data[:problem].include?("□") }).to eq([true, true, *[false] * 5])
        largest = set.flat_map { |data| data[:problem].scan(/\d+/).map(&:to_i) }.max
        expect(largest).to be <= chosen[:to]
        first = set.select { |data| data[:belongs] == "equals" }.map { |data| data[:problem].match?(/\A(\d+|□) =/) }
        expect(first.any?).to be(chosen[:equals_first] == "yes") if chosen[:sign] == "equals"
      end
      expect(orders.values.map { |all| all.uniq.size }).to all(be > 5)
    end

    it "says it in words first, names and writes no sign before the check, and is 1 is, never 1 are" do
      tries("meet_a_sign", sign: %w[plus equals minus], to: [5, 10], equals_first: %w[no yes]) do |kind, _, seed|
        kind.items(seed: seed).each do |item|
          shown = before_check(item)
          expect(shown).not_to match(/[+−=]|plus|equals|minus|take away|\bnone\b/i)
          expect(shown).to include(item.ask)
          expect(item.steps.map(&:words).join(" ")).not_to match(/\b1 (are|go|come|walk)\b/)
          expect(item.steps.filter_map(&:equation).size).to eq(item.data[:belongs] == "none" ? 0 : 1)
          next if item.data[:problem].include?("□")

          expect([item.answer, item.problem]).to eq([item.data[:belongs], nil])
          expect(item.steps.find { |step| step.name == "check" }.words).to start_with(item.answer.capitalize)
        end
      end
    end
  end

  describe "match_up" do
    it "says and shows each sum as it is asked, puts out what is there, and counts to be sure" do
      told = { "put_together" => ["3 + 4 = □", "3 and 4", 7, [7, 7]],
               "take_away" => ["8 − 3 = □", "8, 3 go", 5, [8, 8]],
               "missing_part" => ["3 + □ = 8", "3 and how many, to make 8", 5, [3, 8]] }
      told.each do |form, (problem, spoken, answer, things)|
        %w[pictures sentences].each do |shown|
          item = made("match_up", form: form, shown: shown).item({ problem: problem, answers: [4, answer, 9, 2] })
          words = ["Which card belongs to #{spoken}?", "Build it.", "Which of the cards is it?",
                   "Count to be sure: #{answer}."]
          expect(item.steps.first(4).map(&:words)).to eq(words)
          seen, built, cards, together = item.steps.map { |step| step.layout.marks.map(&:shape).tally }
          expect(seen.key?(:thing)).to be(shown == "pictures")
          expect([built[:thing], together[:thing], cards[:cell]]).to eq([*things, 4])
          expect(item.steps[3].layout.alt).to match(form == "put_together" ? /counted|ticked|7/ : /\d/)
          expect(item.steps.last.layout.marks.count { |mark| mark.shape == :out }).to eq(1)
        end
      end
    end

    it "has no two sums with one answer, one card over, and the same cards all the way" do
      tries("match_up", to: [5, 10, 20], form: %w[put_together take_away missing_part],
                        shown: %w[pictures sentences]) do |kind, chosen, seed|
        items = kind.items(seed: seed)
        answers = items.map(&:answer)
        cards = items.map { |item| item.data[:answers] }.uniq
        expect([answers.uniq, cards.size]).to eq([answers, 1])
        expect([(cards[0] - answers).size, answers - cards[0]]).to eq([1, []])
        expect(items.size).to eq(chosen[:to] == 5 ? kind.most : 6)
        expect(items.map { |item| item.problem.whole }).to all(be <= chosen[:to])
        expect(items.map { |item| item.problem.operation }.uniq)
          .to eq([chosen[:form] == "put_together" ? "add" : "subtract"])
      end
    end

    it "shows the question before the check, and the answer only among the cards" do
      tries("match_up", to: [5, 10, 20], form: %w[put_together take_away missing_part],
                        shown: %w[pictures sentences]) do |kind, _, seed|
        kind.items(seed: seed).each do |item|
          given = item.problem.parts + [item.problem.whole]
          looked = item.steps.first(2)
          unless given.count(item.answer) > 1 || item.problem.add?
            expect(looked.map { |step| step.layout.marks.count { |mark| mark.shape == :thing } })
              .not_to include(item.answer)
          end
          expect(looked.map(&:words).join(" ")).not_to match(/\b#{item.answer}\b/) unless given.count(item.answer) > 1
          expect(item.steps.map(&:name)).to eq(%w[ask look look check write])
        end
      end
    end

    it "has four to eight sums, and says how many there are" do
      { 5 => 4, 10 => 8, 20 => 8 }.each do |to, most|
        %w[put_together take_away missing_part].each do |form|
          kind = made("match_up", to: to, form: form)
          expect([to, form, kind.items(seed: 1, count: most).size]).to eq([to, form, most])
          too_many = -> { kind.items(seed: 1, count: most + 1) }
          expect(&too_many).to raise_error(Rungs::Error::TooMany, /there are #{most} in all/)
        end
      end
    end
  end

  describe "a place on the line" do
    it "shows the tens alone, then goes there by ones from a ten" do
      tries("jump_track", to: [10, 20, 100], direction: %w[forward back]) do |_, chosen, seed|
        kind = made("jump_track", **chosen, missing: "place")
        kind.items(seed: seed).each do |item|
          start, jumps, landing = item.data.values_at(:start, :jumps, :landing)
          expect([start % 10, jumps, item.answer]).to match([0, be_between(1, 9), landing])
          expect(chosen[:direction] == "back" ? start - jumps : start + jumps).to eq(landing)
          numerals = item.steps[1].layout.marks.filter_map { |mark| mark.text.to_s[/\A\d+\z/] }.map(&:to_i)
          expect(numerals).to eq((0..chosen[:to]).step(10).to_a)
          expect(item.steps[2].layout.marks.count { |mark| mark.shape == :jump }).to eq(jumps)
        end
      end
    end
  end
end
