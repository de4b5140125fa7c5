# frozen_string_literal: true

RSpec.describe Rungs::Slip do
  forms = [->(p, q) { "#{p} + #{q} = ?" }, ->(p, q) { "#{p + q} - #{p} = ?" }, lambda { |p, q|
    "#{p} + ? = #{p + q}"
  }, lambda { |p, q|
       "#{p + q} - ? = #{q}"
     }, lambda { |p, q|
          "? + #{q} = #{p + q}"
        }]

  def diagnose(text, answer, rung = nil) = Rungs::Slip::Diagnosis.new(problem(text), answer, rung: rung)
  def ids(...) = diagnose(...).slips.map(&:id)

  it "is called by the operation that is worked on" do
    expect(%w[add subtract].map { |each| described_class.title_in("one_short", each) })
      .to eq(["one left out", "one too many taken away"])
    described_class::ALL.map(&:id).product(%w[add subtract]) do |id, operation|
      expect(described_class.title_in(id, operation)).to be_a(String)
    end
  end

  forms.each_with_index do |form, index|
    it "finds every slip by its own answer, and explains no right answer, form #{index + 1}, every fact to 20" do
      wrong = []
      pairs_to(20).each do |p, q|
        problem = problem(form.call(p, q))
        wrong << "#{problem}: right" if described_class::Diagnosis.new(problem, problem.answer).slips.any?
        described_class.for(problem).each do |slip|
          slip.answers(problem).compact.each do |answer|
            matches = described_class::Diagnosis.new(problem, answer).slips
            shares = matches.map(&:share)
            whole = (shares.sum - 1).abs < 1e-9 && shares == shares.sort.reverse
            fine = matches.map(&:slip).include?(slip) && whole && !answer.negative? && answer != problem.answer
            wrong << "#{problem} #{answer}: #{slip.id}" unless fine
          end
        end
      end
      expect(wrong).to be_empty
    end
  end

  it "says for each slip why and what to ask, once each" do
    expect(described_class::ALL.map { |slip| [slip.table, slip.id] }.uniq.size).to eq(described_class::ALL.size)
    said = []
    pairs_to(20).each do |p, q|
      [problem("#{p} + #{q} = ?"), problem("#{p + q} - #{p} = ?")].each do |each|
        described_class.for(each).each do |slip|
          slip.answers(each).compact.each do |answer|
            said << slip.why(each, answer)
          end
        end
      end
    end
    expect(said.uniq.grep_v(/\A.+[.?]\z/)).to be_empty
  end

  it "says it in whole sentences" do
    told = [problem("14 - 5 = ?"), Rungs::Problem.from_story("compare.bigger.more", [9, 5]),
            Rungs::Problem.from_story("together.total", [9, 5])]
    said = described_class::ALL.flat_map { |slip| [*told.map { |each| slip.ask(each) }, slip.why(told[0], 10)] }
    expect(said).to all(match(/\A.+[.?]\z/))
  end

  it "asks what fits the story: nothing comes or goes in a comparison, or where two kinds are together" do
    still = problems_to(12).select { |each| %w[compare together].include?(each.situation.kind) }
    asked = still.flat_map do |each|
      described_class.for(each).select do |slip|
        slip.answers(each).any?
      end.map { |slip| slip.ask(each) }
    end
    expect(asked.uniq.grep(/\b(came|come|gone|new ones|went away|(are|is) left|What happens)\b/)).to be_empty
  end

  it "keeps the slips of taking away and of adding apart, though their names are the same" do
    taken, put = described_class.on(problem("12 - 5 = ?"), "start_counted"),
described_class.on(problem("7 + 5 = ?"), "start_counted")
    expect(taken.ask(problem("12 - 5 = ?"))).to include("counting back")
    expect(put.ask(problem("7 + 5 = ?"))).not_to include("back")
    expect(described_class.on(problem("7 + 5 = ?"), "said_taken")).to be_nil
  end

  it "has with a part of nothing only the slips of zero, and those of one off and of the operation" do
    zero = problems_to(20).select { |each| each.smaller.zero? }
    possible = zero.flat_map { |each| described_class.for(each).select { |slip| slip.answers(each).any? } }.uniq
    others = possible.map(&:id).uniq - %w[one_short one_over added_instead]
    expect(others).to contain_exactly("zero_adds_one", "zero_appended", "zero_wipes", "zero_takes_one",
                                      "zero_takes_all", "all_gone_kept")
    expect(possible.select { |slip| others.include?(slip.id) }.map(&:prior)).to all(eq(8))
  end

  it "knows the slips of adding" do
    expect(ids("9 + 5 = ?", 13)).to eq(%w[start_counted one_short])
    expect(ids("9 + 5 = ?", 15)).to eq(%w[one_over kept_whole_addend])
    expect(ids("9 + 5 = ?", 10)).to eq(%w[stopped_at_ten doubled next_number])
    expect(ids("9 + 5 = ?", 95)).to eq(%w[stuck_together])
    expect(ids("9 + 5 = ?", 41)).to eq(%w[teen_turned])
    expect(ids("7 + 0 = ?", 8)).to eq(%w[zero_adds_one one_over])
    expect(ids("7 + 0 = ?", 70)).to eq(%w[zero_appended])
    expect(ids("7 + 0 = ?", 0)).to eq(%w[zero_wipes])
    expect(ids("28 + 5 = ?", 23)).to eq(%w[swapped_operation no_carry])
    expect(ids("23 + 4 = ?", 63)).to eq(%w[ones_to_tens])
    expect(ids("10 + 7 = ?", 107)).to eq(%w[ten_written_out])
    expect(ids("38 + 27 = ?", 515)).to eq(%w[side_by_side])
    expect(ids("30 + 40 = ?", 7)).to eq(%w[tens_dropped])
    expect(ids("3 + 4 + 5 = ?", 9)).to eq(%w[addend_left_out])
    expect(ids("? - 5 = 7", 8)).to eq(%w[next_number])
    expect(ids("9 + 5 = ?", 77)).to be_empty
  end

  it "knows the slips of the other tables" do
    expect(ids("14 - 5 = ?", 11)).to eq(%w[wrong_side_of_ten smaller_from_larger])
    expect(ids("14 - 5 = ?", 10)).to eq(%w[start_counted one_over stopped_at_ten])
    expect(ids("14 - 5 = ?", 19)).to eq(%w[added_instead])
    expect(ids("6 - 0 = ?", 0)).to eq(%w[zero_takes_all])
    expect(ids("6 - 6 = ?", 6)).to eq(%w[all_gone_kept])
    expect(ids("14 - 9 = ?", 4)).to eq(%w[one_short give_back_forgotten])
    expect(ids("30 - 10 = ?", 2)).to eq(%w[tens_dropped])
    expect(ids("5 + ? = 14", 19)).to eq(%w[added_shown])
    expect(ids("5 + ? = 14", 14)).to eq(%w[gave_total])
    expect(ids("8 + 4 = ? + 5", 12)).to eq(%w[answer_next])
    expect(ids("8 + 4 = ? + 5", 17)).to eq(%w[added_all])
    expect(ids("? + 5 = 8 + 4", 5)).to eq(%w[repeated_given])
    expect(ids("? + 7 = 17", 1)).to eq(%w[digits_as_ones])
  end

  it "drops slips of another strategy than the one recorded, and divides the rest anew" do
    expect(ids("9 + 5 = ?", 13, "count_on")).to eq(%w[start_counted])
    expect(ids("9 + 5 = ?", 13, "count_all")).to eq(%w[one_short])
    expect(ids("9 + 5 = ?", 13, "unseen")).to eq(%w[start_counted one_short])
    expect(diagnose("9 + 5 = ?", 13).slips.map { |match| match.share.round(3) }).to eq([0.615, 0.385])
    expect { diagnose("9 + 5 = ?", 13, "fly") }.to raise_error(Rungs::Error::Unknown)
  end

  describe described_class::Probe do
    it "tells at least two of the slips apart, in the same band and form, and is never the problem just used" do
      forms = [->(p, q) { "#{p} + #{q} = ?" }, ->(p, q) { "#{p + q} - #{p} = ?" }, ->(p, q) { "#{p} + ? = #{p + q}" }]
      forms.product(pairs_to(18).select do |pair|
        pair.sum >= 3
      end.sample(25, random: Random.new(3))).each do |form, (p, q)|
        problem = problem(form.call(p, q))
        Rungs::Slip.for(problem).flat_map { |slip| slip.answers(problem).compact }.uniq.each do |answer|
          diagnosis = Rungs::Slip::Diagnosis.new(problem, answer)
          probe = diagnosis.probe
          next unless probe

          expect(probe.predicts.values.uniq.size).to be >= 2
          expect([probe.problem.band, probe.problem.unknown,
                  probe.problem.equation.left.size]).to eq([problem.band, problem.unknown, problem.equation.left.size])
          expect(probe.problem).not_to eq(problem)
          expect(probe.predicts.keys).to match_array(diagnosis.slips.map(&:id))
        end
      end
    end

    it "is the best there is, smallest whole first, by trying them all" do
      diagnosis = diagnose("9 + 5 = ?", 15)
      all = described_class.candidates(diagnosis.problem).map { |each| described_class.new(each, diagnosis.slips) }
      best = all.map(&:information).max
      smallest = all.select do |probe|
        (probe.information - best).abs < 1e-9
      end.min_by { |probe| [probe.problem.whole, probe.problem.first] }
      expect(diagnosis.probe.problem).to eq(smallest.problem)
      expect(diagnosis.probe.to_h).to eq(problem: "3 + 8 = □",
                                         predicts: { "one_over" => 12,
                                                     "kept_whole_addend" => 13 })
    end

    it "is none where the slips agree everywhere, or only one fits" do
      expect(diagnose("9 + 5 = ?", 13).probe).to be_nil
      expect(diagnose("9 + 5 = ?", 41).probe).to be_nil
    end

    it "looks a second time at one slip with a problem on which it shows" do
      match = diagnose("9 + 5 = ?", 13, "count_on").slips.first
      again = described_class.second_look(problem("9 + 5 = ?"), match)
      expect(again.band).to eq("bridge")
      expect(match.slip.predict(again, match.place)).not_to eq(again.answer)
    end
  end
end

RSpec.describe Rungs::Slip::Tables::Beyond do
  def ids(text, answer, rung = nil) = Rungs::Slip::Diagnosis.new(problem(text), answer, rung: rung).slips.map(&:id)

  {
    ["30 + 40 = ?", 60] => "ten_start_counted", ["30 + 25 = ?", 45] => "ten_start_counted",
    ["30 + 25 = ?", 65] => "ten_too_far", ["65 - 20 = ?", 55] => "ten_start_counted",
    ["65 - 20 = ?", 35] => "ten_too_far", ["20 + ? = 65", 55] => "ten_start_counted",
    ["34 + 25 = ?", 54] => "ones_left_out", ["34 + 25 = ?", 55] => "ones_left_out",
    ["65 - 23 = ?", 45] => "ones_left_out", ["30 + 25 = ?", 28] => "tens_left_out",
    ["30 + 40 = ?", 34] => "tens_left_out", ["65 - 20 = ?", 63] => "tens_left_out",
    ["13 + 4 = ?", 7] => "ten_of_whole_lost", ["17 - 3 = ?", 4] => "ten_of_whole_lost",
    ["8 + 5 = ?", 30] => "teen_heard_as_ty", ["18 - 5 = ?", 30] => "teen_heard_as_ty",
    ["3 + ? = 19", 60] => "teen_heard_as_ty"
  }.each do |(text, answer), id|
    it "knows #{answer} for #{text} as #{id}" do
      expect(ids(text, answer)).to include(id)
    end
  end

  it "knows none where the numbers do not bring it about" do
    new = described_class::WHOLE.map { |entry| entry[:id] }
    said = [["13 + 9 = ?", 12], ["17 - 8 = ?", -1], ["10 + 25 = ?", 25], ["34 + 20 = ?", 54], ["6 + 6 = ?", 20],
            ["35 + 35 = ?", 100], ["65 - 10 = ?", 65]]
    expect(said.map { |text, answer| ids(text, answer) & new }).to all(be_empty)
    expect(ids("11 + 7 = ?", 22)).not_to include("doubled")
    expect(ids("30 + 25 = ?", 28, "count_on")).to eq(%w[tens_left_out])
  end

  it "asks about the number that was said" do
    asked = Rungs::Slip::Diagnosis.new(problem("8 + 6 = ?"), 40).slips.first.ask
    expect(asked).to eq("Say it slowly: fourteen or forty? Show me with tens and ones.")
  end

  it "hints only at what can happen with the numbers" do
    hinted = ->(text, *all) { Rungs::Slip.possible(problem(text), all).map(&:id) }
    expect(hinted.call("18 - 5 = ?", "all_gone_kept", "start_counted")).to eq(%w[start_counted])
    expect(hinted.call("5 - 5 = ?", "all_gone_kept", "start_counted")).to eq(%w[all_gone_kept])
    expect(hinted.call("5 + 0 = ?", "start_counted", "zero_adds_one")).to eq(%w[zero_adds_one])
  end
end
