# frozen_string_literal: true

RSpec.describe Rungs::Activity, :seeds do
  # A sheet prints no answer: not in its words, and every sentence has a box for each number that is not given.
  def expect_unanswered(item)
    expect(item.sentences).to all(match(/[□_]/).or(eq(item.equation)))
    return if item.answer.nil? || said(item.ask + item.equation.to_s).include?(item.answer)

    expect(said([item.paper.to_h[:words], *item.sentences].join(" "))).not_to include(item.answer)
  end

  # Words that nobody says.
  nobody = [/\b1 (are|packs|tens|ones|leave|go|things|beads|jumps|move)\b/,
            /\b(?!1\b)\d+ (is there|is here|pack|leaves|goes)\b/]

  let(:nobody_says) { Regexp.union(*nobody) }

  # An activity in every way of setting it that has items.
  def kinds_of(activity)
    options = activity.options - [described_class::Ranged::OPTION]
    choices = options.map(&:choices)
    all = choices.first.product(*choices.drop(1)).map { |each| options.map(&:id).zip(each).to_h }
    all.map { |chosen| activity.with(chosen) }.reject { |kind| kind.most&.zero? }
  end

  # Every setting at least once, and every seed at least once; a few of them where not all are tried.
  def settings_and_seeds(activity)
    kinds = kinds_of(activity)
    some(Array.new([kinds.size, seeds.size].max) { |index| [kinds[index % kinds.size], (index % seeds.size) + 1] }, 4)
  end

  def set(id, chosen = {}, seed: 1, count: nil, **settings) = made(id, chosen, settings).items(seed: seed, count: count)
  def made(id, chosen = {}, settings = {}) = described_class::ALL.fetch(id).with(chosen, settings)
  def data(...) = set(...).map(&:data)

  def side(text) = text.tr("−", "-").scan(/[+-]?\s*\d+/).sum { |term| term.delete(" ").to_i }
  def true?(equation) = equation.split("=").map { |each| side(each) }.uniq.size == 1

  described_class::ALL.each do |activity|
    describe activity.id do
      it "makes the same items of the same seed, each again from its place, and all of them draw, speak and are true" do
        settings_and_seeds(activity).each do |kind, seed|
          items = kind.items(seed: seed)
          again = activity.with(kind.chosen)
          expect(again.data(seed: seed)).to eq(items.map(&:data))
          index = seed % items.size
          expect(again.item(again.data(seed: seed)[index]).to_h).to eq(items[index].to_h)
          items.each { |item| expect_whole(item) }
        end
      end

      it "differs from seed to seed, and says what it needs" do
        sets = seeds.map { |seed| activity.with.data(seed: seed).map(&:to_s) }
        in_order = activity.id == "all_the_ways"
        expect(sets.uniq.size).to in_order ? eq(1) : be > 1
        expect(activity.i_can).to start_with("I ").and end_with(".")
        expect(activity.finds - described_class::FINDS.keys).to be_empty
        expect(activity.slips - Rungs::Slip::ALL.map(&:id)).to be_empty
        expect(activity.listen_for.keys - Rungs::Strategy::Rung::ALL.map(&:id)).to be_empty
        expect(activity.cautions - Rungs::Caution::ALL.ids).to be_empty
        expect(activity.materials.map(&:instead)).to all(be_a(String))
      end

      it "says how many there are where more are asked for" do
        kind = activity.with
        too_many = -> { kind.data(seed: 1, count: (kind.most || 300) + 1) }
        expect(&too_many).to raise_error(Rungs::Error, /there are \d+ in all|1 to 300/)
        expect { activity.with("no_such" => 1) }.to raise_error(Rungs::Error::Unknown, /has no option “no_such”/)
        activity.options.each do |option|
          expect do
            activity.with(option.id => "nothing")
          end.to raise_error(Rungs::Error::Unknown, /there is no #{option.id}/)
        end
      end
    end
  end

  number_words = (0..20).to_h { |number| [Rungs::NumberWords.say(number), number] }

  # Numbers that are said, as numerals or in words.
  define_method(:said) do |text|
    text.scan(/\d+/).map(&:to_i) + text.downcase.scan(/[a-z]+/).filter_map { |word| number_words[word] }
  end

  # The question first, the answer last: an item begins with its own question, and neither a numeral nor a word nor a
  # picture of the end stands before its check, unless it is given.
  def expect_asked(item)
    before = item.steps.take_while { |step| !%w[check write].include?(step.name) }
    expect(before.map(&:name)).to eq(["ask", *["look"] * (before.size - 1)])
    expect(before.first.words).to eq(item.ask)
    expect(before.filter_map(&:equation)).to be_empty
    given = said(item.ask) + said(item.equation.to_s)
    return if item.answer.nil? || given.include?(item.answer)

    told = before.flat_map { |step| said(step.words) }
    expect([item.ask, before.map(&:words), told]).not_to match([anything, anything, include(item.answer)])
    return if item.steps[1].seconds || item.problem&.smaller&.zero? || item.ask.include?("this picture")

    ends = item.steps.select { |step| step.name == "check" }.map(&:layout).reject { |layout| hidden?(layout) }
    same = before.map(&:layout).product(ends).select { |one, other| one.alt == other.alt && one == other }
    expect(same).to eq([]), item.ask
    ends = item.steps.select { |step| step.name == "check" }.map(&:layout).reject { |layout| hidden?(layout) }
    expect(before.map(&:layout) & ends).to eq([]), item.ask
  end

  def hidden?(layout) = layout.marks.any? { |mark| mark.state == :hidden }

  # Steps in the order of doing, the last one at the answer.
  def expect_whole(item)
    expect_asked(item)
    expect_unanswered(item)
    expect(item.steps.map(&:words).grep(nobody_says)).to eq([])
    expect(item.steps.map(&:title)).to all(match(/\A[A-Z]/))
    expect(item.ask).to match(/[.?!…□]\z/)
    expect(item.steps.map(&:name) - %w[ask look check write]).to be_empty
    expect(item.steps.last.name).to eq("write")
    expect(item.steps.map(&:words)).to all(match(/\S/))
    expect(item.steps.map { |step| step.layout.marks.size }).to all(be_positive)
    written = item.steps.filter_map(&:equation)
    expect(written).to all(satisfy { |equation| true?(equation) })
    last = [item.steps.last.words, item.steps.last.equation].join(" ")
    expect(last).to match(/\b#{item.answer}\b/) if item.answer.is_a?(Integer)
    expect(item.answer).to eq(item.problem.answer) if item.problem && !item.problem.many_answers?
  end

  it "has no step whose button names a thing without saying what is done with it" do
    titles = described_class::ALL.flat_map do |activity|
      activity.with({}).items(seed: 1).flat_map { |item| item.steps.map { |step| [step.title, step.does] } }
    end.to_h
    expect(described_class::Step::DOES.keys - titles.keys).to eq([])
    expect(titles.values_at("Look", "Check", "Lift the card")).to eq(["Show it", "Check it", "Lift the card"])
  end

  it "shows no quick look twice in ten, the first to five, half of the others above half, none once" do
    seeds.to_a.product([5, 10, 20, 30], [6, 8, 14]).each do |seed, to, count|
      looks = data("quick_look", { to: to }, seed: seed, count: count)
      numbers = looks.map { |each| each[:number] }
      near = [10, to].min
      expect(numbers.select(&:positive?).each_cons(near).map { |some| some.uniq.size }).to all(eq(near))
      expect(numbers.first).to be_between(1, 5)
      expect(numbers.drop(1).count { |number| number > to / 2.0 } * 2).to be >= count - 1
      nothing = looks.select { |each| each[:number].zero? }
      expect(nothing.size).to eq(count >= 8 ? 1 : 0)
      expect(nothing.map { |each| each[:arrangement] } - %w[frame frame_pairs rack]).to be_empty
    end
    expect(data("quick_look", { arrangement: "die" }, count: 8).map { |each| each[:number] }).to all(be_between(1, 6))
  end

  it "hides the beads of a rack that are not meant" do
    shown = set("quick_look", { arrangement: "rack" }).map { |item| item.steps[1].layout }
    shown.each do |layout|
      expect(layout.marks.select do |mark|
        mark.shape == :bead && !mark.order
      end.map(&:state).uniq - [:hidden]).to eq([])
    end
  end

  it "has only riddles whose every clue is needed, each told with the numbers that fit it" do
    seeds.to_a.product([[10, 3], [10, 4], [20, 3], [20, 4], [20, 5]]).each do |seed, (to, clues)|
      data("number_riddle", { to: to, clues: clues }, seed: seed).each do |each|
        all = (0..to).to_a
        expect([each[:left].first, each[:left].last, each[:clues].size]).to eq([all, [each[:answer]], clues])
        expect(each[:left]).to eq((0..clues).map { |many| each[:fits].first(many).reduce(all, :&) })
        others = each[:fits].each_index.map do |at|
          each[:fits].reject.with_index do |_, place|
            place == at
          end.reduce(all, :&)
        end
        expect(others.map(&:size)).to all(be > 1)
        expect(each[:fits].map(&:size)).to all(be >= 3)
        expect(each[:clues].grep(/is not \d/).size).to be <= 1
        expect(each[:clues].map { |clue| clue.gsub(/\d+/, "") }.uniq.size).to be > 1
      end
    end
    expect { data("number_riddle", { to: 10, clues: 5 }) }.to raise_error(Rungs::Error::NotAProblem)
  end

  it "moves some over on two frames until the first is full" do
    set("fill_the_frame", { frame: "two" }, count: 14).each do |item|
      first, more = item.data.values_at(:first, :more)
      expect([first + more, item.problem.band, first >= more]).to eq([item.answer, "bridge", true])
    end
  end

  it "crosses ten where that is asked, and only there" do
    %w[no yes].each do |crossing|
      data("build_and_break", { form: "put_together", to: 100, crossing: crossing }, count: 20).each do |each|
        expect(each[:numbers].sum { |number| number % 10 } >= 10).to be(crossing == "yes")
      end
    end
  end

  it "leaves the ways, the toss, the tens and ones and the turned sentences open on paper" do
    sentences = ->(id, chosen = {}) { set(id, chosen).first.sentences }
    expect(sentences["all_the_ways"]).to eq(["□ + □ = 5"])
    expect(sentences["all_the_ways", { parts: 3 }]).to eq(["□ + □ + □ = 5"])
    expect(sentences["toss"]).to eq(["□ + □ = 8"])
    expect(sentences["build_and_break"].first).to match(/\A\d+ is ___ tens and ___ ones\z/)
    family = set("turn_around", count: 8).map(&:sentences).max_by(&:size)
    expect(family).to eq(["□ + □ = □", "□ + □ = □", "□ − □ = □", "□ − □ = □"])
  end

  it "hides beads from no start twice, with none and all of them, neighbours one apart, in no order" do
    seeds.each do |seed|
      [5, 10, 20].each do |whole|
        shown = data("hidden_beads", { whole: whole }, seed: seed, count: 6).map { |each| each[:shown] }
        expect(shown.uniq).to eq(shown)
        expect(shown).to include(0, whole)
        expect([0, whole]).not_to include(shown.first)
        expect(shown.each_cons(2).map { |one, other| (one - other).abs }).to include(1)
        expect([shown.sort, shown.sort.reverse]).not_to include(shown)
      end
    end
  end

  it "fills the frame from every start once before any again, or as a die falls and as one is tapped in" do
    seeds.each do |seed|
      firsts = data("fill_the_frame", seed: seed, count: 20).map { |each| each[:first] }
      expect(firsts.each_slice(10).map(&:sort)).to all(eq([*0..9]))
      thrown = data("fill_the_frame", { by: "die" }, seed: seed, count: 12).map { |each| each[:first] }
      expect(thrown).to all(be_between(1, 6))
    end
    expect(made("fill_the_frame").given("4")).to eq({ frame: 10, first: 4, more: 6 })
    expect { made("fill_the_frame", "by" => "die").given(7) }.to raise_error(Rungs::Error::NotAProblem, /1 to 6/)
  end

  it "takes each ten and some once, eleven or twelve among any four" do
    seeds.each do |seed|
      numbers = data("ten_and_some", seed: seed, count: 4).map { |each| each[:number] }
      expect(numbers.uniq).to eq(numbers)
      expect(numbers & [11, 12]).not_to be_empty
    end
  end

  it "tosses fairly, says every chance, and what to expect" do
    toss = made("toss", "n" => 4)
    firsts = toss.items(seed: 3, count: 300).map { |item| item.data[:first] }
    expect(firsts.sum.fdiv(300)).to be_within(0.3).of(2)
    expect(toss.figures[:chances]).to eq([1, 4, 6, 4, 1].each_with_index.map do |times, first|
      { parts: [first, 4 - first], chance: times / 16.0 }
    end)
    turned = made("toss", { "n" => 4 }, { turned: "one" }).figures[:chances]
    expect(turned.map do |each|
      each.values_at(:parts, :chance)
    end).to eq([[[4, 0], 0.125], [[3, 1], 0.5], [[2, 2], 0.375]])
    expect(toss.given("3")).to eq({ n: 4, first: 3, second: 1 })
    expect { toss.given(5) }.to raise_error(Rungs::Error::NotAProblem, /0 to 4/)
    expect(toss.missing([[1, 3], [2, 2]])).to eq([[0, 4], [3, 1], [4, 0]])
    expect(toss.notes([{ n: 4, first: 1, second: 3 }])).to eq(
      ["2 and 2 comes most often, 38 times in 100; 0 and 4 comes 6 times in 100.",
       "About 25 tosses until every way has come.", "Still missing: 0 and 4, 2 and 2, 3 and 1, 4 and 0."]
    )
  end

  it "finds all the ways, each one moved across from the one before" do
    some([*2..20], 6).each do |n|
      ways = data("all_the_ways", { n: n }).map { |each| each[:parts] }
      expect(ways.size).to eq(n + 1)
      expect(ways.each_cons(2).map { |one, other| (one[0] - other[0]).abs }).to all(eq(1))
      expect(data("all_the_ways", { n: n }, turned: "one").size).to eq((n / 2) + 1)
      three = data("all_the_ways", { n: n, parts: 3 }).map { |each| each[:parts] }
      expect(three.uniq.size).to eq((n + 1) * (n + 2) / 2)
      moves = three.each_cons(2).map { |one, other| one.zip(other).sum { |a, b| (a - b).abs } }
      expect(moves).to all(eq(2))
    end
  end

  it "lets none leave once and all leave once, and never more than there are" do
    seeds.each do |seed|
      set = data("some_leave", { to: 20 }, seed: seed, count: 8)
      expect(set.count { |each| each[:leave].zero? }).to eq(1)
      expect(set.count { |each| each[:left].zero? }).to eq(1)
      expect(set.map { |each| each[:leave] <= each[:start] }).to all(be(true))
    end
    rhyme = data("some_leave", { to: 5, leave: "one_at_a_time" }, count: 5)
    expect(rhyme.map { |each| each[:start] }).to eq([5, 4, 3, 2, 1])
  end

  it "asks each double, each near double and each share once" do
    expect(data("twins", { to: 10 }, count: 10).map { |each| each[:total] }.sort).to eq((1..10).map { |half| half * 2 })
    near = data("twins", { to: 5, near: "yes" }, count: 9)
    expect(near.count { |each| !each[:near] }).to eq(5)
    shares = seeds.map { |seed| data("fair_shares", seed: seed) }
    expect(shares.map { |set| set.map { |each| each[:number] } }).to all(include(0).and(satisfy { |all|
      all.uniq == all
    }))
    expect(shares.flatten.map { |each| (each[:each] * 2) + each[:over] == each[:number] }).to all(be(true))
  end

  it "takes every start and jumps that land there, and no other" do
    item = set("jump_track", { missing: "both" }, seed: 2).first
    landing = item.data[:landing]
    expect(made("jump_track", "missing" => "both").way(item,
                                                       [landing - 2, 2]).text).to eq("#{landing - 2} + 2 = #{landing}")
    expect { made("jump_track", "missing" => "both").way(item, [landing, 2]) }
      .to raise_error(Rungs::Error::NotAProblem, /lands on #{landing + 2}/)
  end

  it "makes half of true-or-not true, and stands the number alone left as often as right" do
    seeds.each do |seed|
      set = data("same_both_sides", { form: "true_or_not" }, seed: seed, count: 6)
      expect(set.count { |each| each[:holds] }).to eq(3)
      expect(set.count { |each| each[:left].size == 1 }).to eq(3)
      expect(set.map { |each| each[:holds] == (each[:left].sum == each[:right].sum) }).to all(be(true))
    end
  end

  it "puts on the mat only totals that can come, each about in its share, each once where there is room" do
    expect(made("dice_mat").mat).to eq([3, 4, 5, 6, 7, 7, 8, 9, 10])
    expect(made("dice_mat", "places" => 12).mat).to eq([2, 3, 4, 5, 6, 7, 7, 8, 9, 10, 11, 12])
    expect(made("dice_mat", "dice" => "0-5", "places" => 16).mat.uniq).to eq([*0..10])
    figures = made("dice_mat").figures
    expect(figures[:chances].sum { |each| each[:chance] }).to be_within(1e-9).of(1)
    expect(figures[:expected]).to be_within(1.5).of(throws_to_fill(made("dice_mat").mat))
    expect { made("dice_mat").given("3 7") }.to raise_error(Rungs::Error::NotAProblem, /1 to 6/)
    expect(made("dice_mat").given("3 6")[:faces]).to eq([3, 6])
    expect(made("dice_mat").notes([{ faces: [3, 4] }, { faces: [1, 1] }]).last)
      .to eq("Still needed: 3, 4, 5, 6, 7, 8, 9, 10.")
  end

  # The mean of many mats filled by throwing.
  def throws_to_fill(mat, random: Random.new(5), times: 2000)
    Array.new(times) do
      left, thrown = mat.tally, 0
      until left.empty?
        total = random.rand(1..6) + random.rand(1..6)
        thrown += 1
        left[total] -= 1 if left.key?(total)
        left.delete(total) if left[total]&.zero?
      end
      thrown
    end.sum.fdiv(times)
  end

  it "lays no domino twice, and deals cards without putting back" do
    expect(data("domino_sums", { to: 6 }, count: 28).map { |each| each[:ends] }.uniq.size).to eq(28)
    seeds.each do |seed|
      dealt = data("two_cards", { cards: "1-5" }, seed: seed, count: 10).flat_map { |each| each[:cards] }
      expect(dealt.tally).to eq((1..5).to_h { |number| [number, 4] })
    end
  end

  it "tells stories, strings and two ways from the same rules as elsewhere" do
    story = set("story_time", { situation: "take_from.change", band: "bridge" }, seed: 3).first
    expect(Rungs::Problem::Story.missing_numbers(story.ask, story.problem)).to be_empty
    string = set("number_string", { move: "up_through_ten" }, seed: 3)
    expect(Rungs::Strategy::Pull.new(string.last.problem).to_h[:invites]).to eq("make_ten")
    seeds.each do |seed|
      data("whose_way", seed: seed).each do |talk|
        rungs = talk[:ways].map { |way| Rungs::Strategy::Move::ALL.fetch(way[:move]).rung }
        expect(rungs.uniq.size).to eq(2)
      end
      data("whose_way", { form: "one_slipped" }, seed: seed).each do |talk|
        problem = Rungs::Problem::Equation.parse(talk[:problem]).to_problem
        slip = Rungs::Slip.on(problem, talk[:ways][1][:slip])
        expect(slip.answers(problem) - [problem.answer]).to include(talk[:ways][1][:answer])
      end
    end
  end

  it "keeps a way where its total is right, and refuses another" do
    plan = made("plan_for_it", "kinds" => 3)
    item = plan.items(seed: 1).first
    expect(plan.way(item, "2 3 4").text).to eq("2 + 3 + 4 = 9")
    expect { plan.way(item, "2 3") }.to raise_error(Rungs::Error::NotAProblem, /how many of each/)
    expect { made("twins").given(3) }.to raise_error(Rungs::Error::NotAProblem, "nothing is thrown here")
  end

  it "counts by groups with what is over" do
    data("count_by", { by: 5, to: 100, rest: "yes" }, count: 20).each do |each|
      expect((each[:groups] * 5) + each[:rest]).to eq(each[:number])
      expect(each[:rest]).to be_between(1, 4)
    end
  end

  it "takes the facts that a class has due" do
    facts = ->(operation) { operation == "add" ? [[[5, 8], "reasoned"]] : [] }
    expect(set("by_heart", facts: facts).map(&:data)).to eq([{ fact: "8 + 5", due: "reasoned" }])
    expect(set("by_heart", { operation: "subtract" }, facts: facts).size).to eq(6)
  end

  it "reads a sentence as one says it" do
    expect(described_class::Aloud.read("12 − 5 = 7")).to eq("twelve take away five is seven")
    expect(described_class::Aloud.read("9 + □ = 14")).to eq("nine and what number is fourteen")
  end

  describe Rungs::Collector do
    it "expects three throws of a coin for both sides, and 14.7 of a die for all six" do
      coin = { heads: Rational(1, 2), tails: Rational(1, 2) }
      expect(described_class.new(coin).expected).to eq(3)
      expect(described_class.new((1..6).to_h { |face| [face, Rational(1, 6)] }).expected).to eq(Rational(147, 10))
      expect(described_class.new(coin, { heads: 2 }).expected).to eq(4)
    end
  end

  it "tells ways by children whose names nobody in the class has" do
    taken = Rungs::Problem::Story::NAMES.drop(2)
    seeds.each do |seed|
      ways = data("whose_way", seed: seed, names: -> { taken }).flat_map { |talk| talk[:ways] }
      expect(ways.map { |way| way[:child] } & taken).to be_empty
    end
  end

  it "draws both ways of a talk step by step, and shows their ends side by side" do
    seeds.each do |seed|
      set("whose_way", { to: 20 }, seed: seed).each do |talk|
        told = talk.steps.select { |step| step.words.match?(/\A\p{Lu}\p{L}+: “/) }
        expect(told.map { |step| step.layout.alt }).to all(satisfy { |alt| !alt.include?("whole hidden") })
        compared = talk.steps.find(&:beside)
        ends = told.slice_when { |one, other| one.words != other.words }.map { |steps| steps.last.layout.alt }
        expect([compared.layout.alt, compared.beside.alt]).to eq(ends)
      end
    end
  end
end
