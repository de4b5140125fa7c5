# frozen_string_literal: true

# Problems, their numbers, words and pictures, against what is kept of them.
RSpec.describe "The problems’ and pictures’ tables" do
  let(:situations) { Rungs::Problem::Situation::ALL.to_a }
  let(:bands) { Rungs::Problem::Band::ALL.ids }
  let(:equations) do
    sides = %w[7 12 □].product(["+", "−"], %w[0 5 □]).map { |side| side.join(" ") }
    sides.product(%w[7 12 □]).flat_map { |side, result| ["#{side} = #{result}", "#{result} = #{side}"] } +
      ["7 + 5 = 6 + 6", "8 + 4 = □ + 5", "□ + 1 = 3 + 2", "2 + 3 + □ = 9", "1 + 2 + 3 = □", "9 − 2 − 1 = □", "12 = □",
       "120 − 101 = □", "3 + 4 = 8", "7 + = 3", "a + 1 = 2", "5 - 2 = ?", "12\n− 5\n——\n□"]
  end

  it "hold for bands and families" do
    pairs = pairs_to(20).select { |first, second| (first + (2 * second)) % 3 == 1 }
    pairs += [[10, 10], [20, 30], [40, 60], [19, 80], [0, 100], [99, 1]]
    expect_table("numbers", pairs.to_h do |parts|
      [parts.join(" + "), [Rungs::Problem::Band.of(parts), *Rungs::Problem::Family.of(parts)].join(" ")]
    end)
  end

  it "hold for every form of an equation" do
    expect_table("equations", equations.to_h do |text|
      [text.inspect, tried do
        said_of(Rungs::Problem::Equation.parse(text))
      end]
    end)
  end

  def said_of(read)
    says = { "true or false" => read.true_or_false?, "two sides" => read.two_sided?, "a part" => read.missing_part? }
    one = tried { read.to_problem }
    one = [one.situation&.id, one.parts.inspect, one.unknown, one.answer].compact.join(" ") unless one.is_a?(String)
    [read.to_s, read.down.inspect, tried { read.answer.inspect }, *says.select { |_, so| so }.keys,
     tried { read.solve(*[4] * read.boxes.size).to_s }, tried { read.like([3, 4]).to_s }, one].join(" · ")
  end

  it "hold for what is drawn of every situation and band" do
    cases = situations.product(bands - ["to100"], [nil]) +
            situations.first(2).product(%w[to10 bridge], Rungs::Problem::Family::ALL.ids)
    expect_table("pools", cases.to_h do |situation, band, family|
      [[situation.id, band, family].compact.join(" "), tried do
        pool = Rungs::Problem::Pool.new(situation: situation.id, band: band, family: family)
        drawn = pool.draw([pool.count, 4].min, random: Random.new(3))
        "#{pool.count} · #{drawn.join(', ')} · #{tried { pool.draw(9999, random: Random.new(3)).size }}"
      end]
    end)
  end

  it "hold for stories, and how hard they read" do
    problems = situations.flat_map { |each| %w[to10 bridge].flat_map { |band| pool(each, band).problems.first(2) } }
    expect_table("stories", problems.to_h do |each|
      ["#{each.situation.id} #{each.parts.join(' ')}", tried do
        story = Rungs::Problem::Story.write(each, random: Random.new(each.whole))
        reading = Rungs::Problem::Reading.new(story.text)
        [story.text, story.template.id, ("easy" if reading.easy?), reading.longest_sentence].compact.join(" · ")
      end]
    end)
  end

  def pool(situation, band) = Rungs::Problem::Pool.new(situation: situation.id, band: band)

  it "hold for the pictures of problems, and how they are acted" do
    given = { "add_to.result" => [9, 5], "take_from.result" => [8, 6], "add_to.change" => [3, 4],
              "together.both" => [4, 3], "compare.difference.more" => [5, 2], "together.total" => [27, 10],
              "take_from.change" => [60, 40], "together.part" => [5, 0] }
    problems = given.map { |id, parts| told(Rungs::Problem::Situation::ALL.fetch(id), parts) }
    expect_table("pictures", problems.flat_map do |each|
      pictures = Rungs::Picture::KINDS.to_h { |kind| [kind.id, kind.of(each)] }.compact
      pictures.map { |id, picture| ["#{each.situation.id} #{each}, #{id}", worked(picture)] } +
        each.paths.map { |path| ["#{each.situation.id} #{each}, #{path.move.id}", acted(path, each)] }
    end.to_h)
  end

  # As it lies, and after some of it was pressed.
  def worked(picture)
    hands = Rungs::Picture::Hands.new(picture.layout, [0, 1, 2, 2])
    [seen(picture.layout), *picture.ways.map(&:text), "pressed", hands.sentence, seen(hands.layout)].compact.join(" · ")
  end

  def acted(path, problem)
    way = Rungs::Picture::Staging.way(path, problem, thing: "kite") or return "not acted"
    [way.rung.id, way.title, *way.equations, *way.steps.map { |step| seen(step) }].join(" · ")
  end

  it "hold for what children see in dots, frames and racks, however they lie" do
    settings = { "dots" => { arrangement: Rungs::Picture::Dots::ARRANGEMENTS }, "frame" => { fill: %i[fives pairs] },
                 "rack" => { card: [nil, true] }, "towers" => { style: %i[cubes chain] } }
    cases = settings.flat_map { |id, given| given.first.last.to_a.map { |each| [id, given.keys.first, each] } }
    expect_table("looks", cases.product([0, 1, 3, 5, 6, 8, 10, 14, 20]).to_h do |(id, name, each), number|
      [[id, each, number].compact.join(" "), tried do
        picture = Rungs::Picture::KINDS.fetch(id).from([number], name => each)
        [seen(picture.layout), *picture.ways.map(&:text)].join(" · ")
      end]
    end)
  end
end
