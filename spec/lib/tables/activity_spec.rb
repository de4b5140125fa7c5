# frozen_string_literal: true

# Items of every activity, in each of its settings, against what is kept of them.
RSpec.describe "The activities’ tables" do
  def choices(activity)
    options = activity.options - [Rungs::Activity::Ranged::OPTION]
    [{}, *options.flat_map { |option| option.choices.map { |choice| { option.id => choice } } }].uniq
  end

  def settings
    [{}, { fill: :pairs, whole: :left, turned: "one", minus: "minus", fingers: false, signs: "none" }]
  end

  def made(kind, seed)
    items = kind.items(seed: seed)
    [items.map(&:to_h), kind.closing(items)&.to_h, kind.figures.to_a, kind.notes(items.map(&:data)).map(&:to_s),
     %i[easier harder].map { |way| kind.turn(way) }, items.first(2).map { |item| kind.beyond?(item.data, 10) }]
  rescue Rungs::Error => e
    e.message
  end

  Rungs::Activity::ALL.each do |activity|
    it "hold for #{activity.id}" do
      cases = choices(activity).product([1, 2])
      expect_table("activity_#{activity.id}", cases.to_h do |chosen, seed|
        kind = activity.with(chosen, settings[seed - 1])
        fits = %w[to5 to10 bridge to20 to100].map { |band| activity.fitted(band: band, operation: "add") }
        [[*chosen.flatten, "seed", seed].join(" "), [made(kind, seed), activity.reach(kind.chosen), fits]]
      end)
    end
  end

  it "hold for what is drawn of a problem when it is asked for" do
    told = problems_to(20, situations: SmallNumbers::KINDS).each_slice(60).map(&:first)
    expect_table("drawn", told.to_h do |each|
      wanted = [*Rungs::Picture::KINDS.ids, *1..5, *each.paths.map { |path| path.move.id }, "7:3,4 line", "9:4,5"]
      ["#{each.situation.id} #{each}", wanted.map do |what|
        Rungs::Activity::Drawn.new(each, what.to_s, words: "How many?").steps.to_a.map(&:to_h)
      rescue Rungs::Error => e
        e.message
      end]
    end)
  end
end
