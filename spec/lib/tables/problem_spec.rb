# frozen_string_literal: true

# Every small case of problems, their numbers, words and pictures, against what is kept of it.
RSpec.describe "The problems’ and pictures’ tables" do
  problem = Rungs::Problem

  let(:situations) { problem::Situation::ALL.to_a }
  let(:equations) do
    sides = %w[7 12 □].product(["+", "−"], %w[0 5 □]).map { |side| side.join(" ") }
    sides.product(%w[7 12 □]).flat_map { |side, result| ["#{side} = #{result}", "#{result} = #{side}"] } +
      ["7 + 5 = 6 + 6", "8 + 4 = □ + 5", "□ + 1 = 3 + 2", "2 + 3 + □ = 9", "1 + 2 + 3 = □", "9 − 2 − 1 = □", "12 = □",
       "120 − 101 = □", "3 + 4 = 8", "7 + = 3", "a + 1 = 2", "5 - 2 = ?", "12\n− 5\n——\n□"]
  end

  def tried
    yield
  rescue Rungs::Error => e
    e.message
  end

  it "hold for bands, families and the numbers beside" do
    pairs = pairs_to(22) + [[10, 10], [20, 30], [40, 60], [19, 80], [0, 100], [99, 1]]
    expect_table("numbers", pairs.to_h do |parts|
      [parts.to_s, [problem::Band.of(parts), problem::Family.of(parts)]]
    end)
  end

  it "hold for every form of an equation" do
    expect_table("equations", equations.to_h do |text|
      [text.inspect, tried do
        read = problem::Equation.parse(text)
        one = tried { read.to_problem }
        [read.to_s, read.down, read.answer, read.true_or_false?, read.two_sided?, read.missing_part?,
         tried { read.solve(*[4] * read.boxes.size).to_s }, tried { read.like([3, 4]).to_s },
         one.is_a?(problem) ? [one.situation&.id, one.parts, one.unknown, one.answer, one.operation] : one]
      end]
    end)
  end

  it "hold for what is drawn of every situation and band, with and without a family", :deep do
    families = [nil, *problem::Family::ALL.ids]
    all = situations.product(problem::Band::ALL.ids - ["to100"], families, [false])
    all += situations.first(1).product(["to100"], families.first(2), [false])
    all += situations.product(%w[to5 bridge], [nil], [true])
    expect_table("pools", all.to_h do |situation, band, family, turned|
      [[situation.id, band, family, turned].compact.join(" "), tried do
        pool = problem::Pool.new(situation: situation.id, band: band, family: family, turned: turned)
        drawn = pool.draw([pool.count, 6].min, random: Random.new(3), except: pool.problems.first(1))
        [pool.count, drawn.map(&:to_s), tried { pool.draw(9999, random: Random.new(3)) }]
      end]
    end)
  end

  it "hold for stories, and how hard they read" do
    told = problems_to(9, situations: situations.map(&:id)).each_slice(3).map(&:first)
    told += problem::Situation::ALL.flat_map { |each| problem::Pool.new(situation: each.id, band: "bridge").problems.first(3) }
    expect_table("stories", told.uniq.to_h do |each|
      chance = Random.new(each.whole)
      ["#{each.situation.id} #{each.parts}", Array.new(4) do
        tried do
          story = problem::Story.write(each, random: chance)
          reading = problem::Reading.new(story.text)
          [story.text, story.template.id, reading.easy?, reading.longest_sentence,
           problem::Story.missing_numbers("#{each.whole} boats", each)]
        end
      end]
    end)
  end

  it "hold for every picture of every problem, acted and worked with by hand", :deep do
    told = problems_to(12, situations: SmallNumbers::KINDS).each_slice(9).map(&:first) + some_to_100(9)
    expect_table("pictures", told.uniq { |each| each.to_s + each.situation.id }.to_h do |each|
      pictures = Rungs::Picture::KINDS.to_h { |kind| [kind.id, kind.of(each)] }.compact
      ["#{each.situation.id} #{each}", [pictures.transform_values { |picture| seen(picture, each.whole) },
                                        staging.of(each, thing: "shell").transform_values { |all| all.map(&:to_a) },
                                        each.paths.map { |path| acted(path, each) }]]
    end)
  end

  def staging = Rungs::Picture::Staging

  def acted(path, problem)
    way = staging.way(path, problem, thing: "kite")
    [way && [way.rung.id, way.title, way.steps.map(&:to_a), way.equations], staging.stages(path, problem).map(&:id)]
  end

  def seen(picture, presses)
    worked = Array.new(4) { |more| Rungs::Picture::Hands.new(picture.layout, [*0..presses % 7, more, more, more]) }
    [picture.layout.to_a, picture.ways.map(&:to_a),
     worked.map { |hands| [hands.places.size, hands.layout.to_a, hands.sentence] }]
  end

  it "hold for what children see in dots, frames and racks, however they lie" do
    kinds = Rungs::Picture::KINDS
    settings = { "dots" => { arrangement: Rungs::Picture::Dots::ARRANGEMENTS }, "frame" => { fill: %i[fives pairs] },
                 "rack" => { card: [nil, true] }, "towers" => { style: %i[cubes chain] } }
    all = settings.flat_map { |id, given| given.first.last.to_a.map { |each| [id, given.keys.first, each] } }
    expect_table("looks", all.product([*0..20]).to_h do |(id, name, each), number|
      [[id, each, number].join(" "), tried do
        picture = kinds.fetch(id).from([number], name => each)
        [picture.layout.to_a, picture.ways.map(&:to_a)]
      end]
    end)
  end
end
