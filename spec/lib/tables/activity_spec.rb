# frozen_string_literal: true

# What every activity draws, says and shows, against what is kept of it.
RSpec.describe "The activities’ tables" do
  let(:activities) { Rungs::Activity::ALL.to_a }

  def choices(activity)
    options = activity.options - [Rungs::Activity::Ranged::OPTION]
    [{}, *options.flat_map { |option| option.choices.drop(1).map { |choice| { option.id => choice } } }]
  end

  def named(activity, chosen) = [activity.id, *chosen.map { |name, choice| "#{name} #{choice}" }].join(", ")

  it "hold for what each choice asks, and what of its first item is drawn" do
    cases = activities.flat_map { |activity| choices(activity).map { |chosen| [activity, chosen] } }
    expect_table("choices", cases.to_h do |activity, chosen|
      [named(activity, chosen), tried do
        items = activity.with(chosen).items(seed: 2)
        drawn = items.first.steps.map { |step| "#{step.name} #{seen(step.layout)}" }
        [*items.first(4).map { |item| asked(item) }, *drawn].join(" | ")
      end]
    end)
  end

  def asked(item) = [item.ask, item.problem || item.equation, item.answer].compact.join(" ")

  it "hold for what fits a class, and which ranges there are" do
    expect_table("fitted", activities.to_h do |activity|
      fits = %w[to5 bridge to100].product(%w[add subtract]).map do |band, operation|
        activity.fitted(band: band, operation: operation).values.join(" ")
      end
      [activity.id, [*fits, "ranges #{activity.ranges({}).join(' ')}"].join(" · ")]
    end)
  end

  # Of a class that has it otherwise only what is another then.
  it "hold for each step of an item, as the class is used to it and otherwise" do
    otherwise = { fill: :pairs, whole: :left, turned: "one", minus: "minus", fingers: false, signs: "none" }
    cases = activities.flat_map do |activity|
      usual, other = [{}, otherwise].map { |settings| steps_of(activity, settings) }
      usual.to_a + (other.to_a - usual.to_a).map { |at, words| ["#{at}, otherwise", words] }
    end
    expect_table("steps", cases.to_h)
  end

  def steps_of(activity, settings)
    steps = tried { activity.with({}, settings).items(seed: 1).first.steps }
    Array(steps).each.with_index(1).to_h do |step, at|
      ["#{activity.id} #{at}", step.is_a?(String) ? step : said_of(step)]
    end
  end

  def said_of(step)
    hints = [("#{step.seconds} s" if step.seconds), step.hands, ("asked" if step.asked), ("alone" if step.alone),
             ("falls" if step.falls)]
    [step.name, step.title, step.words, step.tell, step.equation, step.aloud, *step.lines, *hints.compact,
     seen(step.layout)].compact.join(" · ")
  end

  it "hold for what comes after the items, and what is easier and harder" do
    expect_table("after", activities.to_h do |activity|
      kind = activity.with
      items = tried { kind.items(seed: 1) }
      next [activity.id, items] if items.is_a?(String)

      closing = kind.closing(items)
      turned = %i[easier harder].map { |way| "#{way} #{kind.turn(way)}" }
      [activity.id, [closing&.ask, *closing&.steps.to_a.map(&:words), *kind.notes(items.map(&:data)), *turned,
                     activity.reach(kind.chosen).inspect,
                     items.map do |item|
                       kind.beyond?(item.data, 10) ? "beyond" : "to ten"
                     end.join(" ")].compact.join(" · ")]
    end)
  end

  it "hold for what is drawn of a problem when it is asked for" do
    problems = ["9 + 5 = □", "14 − 8 = □", "7 + □ = 12"].map { |text| problem(text) }
    wanted = [*Rungs::Picture::KINDS.ids, *1..5, "7:3,4 line", "9:4,5"].map(&:to_s)
    expect_table("drawn", problems.product(wanted).to_h do |each, what|
      ["#{each}, #{what}", tried do
        Rungs::Activity::Drawn.new(each, what, words: "How many?").steps.map { |step| said_of(step) }.join(" | ")
      end]
    end)
  end
end
