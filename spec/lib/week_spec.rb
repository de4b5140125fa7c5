# frozen_string_literal: true

require "spec_helper"

RSpec.describe Rungs::Planning::ProposedWeek do
  let(:monday) { Date.new(2026, 11, 30) }

  def week(band: "to10", operation: "add", seed: 3, days: 5, **more)
    described_class.new(days: Rungs::SchoolDays.from(monday, days), at_work: { band: band, operation: operation },
                        seed: seed, **more)
  end

  # All there is, met long ago.
  def everything
    ids = { "activity" => Rungs::Activity::ALL.ids, "situation" => Rungs::Problem::Situation::ALL.ids,
            "picture" => Rungs::Picture::KINDS.ids }
    ids.flat_map { |what, all| all.each_with_index.map { |id, index| [[what, id], monday - 60 + index] } }.to_h
  end

  def shape(week) = week.days.map { |day| day.parts.map(&:to_h) }

  it "is never longer than there is time, with one new thing a day, and a reason for each part" do
    bands, minutes = Rungs::Planning::Widening::ORDER, [10, 15, 25, 40]
    bands.product(%w[add subtract], minutes, [1, 2]).each do |band, operation, time, seed|
      days = week(band: band, operation: operation, minutes: time, seed: seed).days
      expect(days.map(&:minutes)).to all(be <= time)
      expect(days.map { |day| day.parts.count(&:fresh) }).to all(be <= 1)
      expect(days.flat_map(&:parts)).to all(satisfy { |part|
        part.minutes.between?(part.kind.minutes * 0.75, part.kind.minutes)
      })
      expect(days.flat_map(&:parts).map(&:why)).to all(end_with(".").or(end_with("?")))
      expect(days.map { |day| day.parts.map(&:kind) }).to all(satisfy { |kinds| kinds.uniq == kinds })
    end
  end

  it "stays in its range, a warm-up in the one before" do
    Rungs::Planning::Widening::ORDER.product(%w[add subtract]).each do |band, operation|
      met = everything.merge(["range", band] => monday - 9)
      parts = week(band: band, operation: operation, met: met).days.flat_map(&:parts)
      parts.each do |part|
        made = part.kind.with(part.options)
        wholes = part.items.filter_map { |data| made.item(data).problem&.whole }
        largest = Rungs::Problem::Band::ALL.fetch(part.range).largest
        expect(wholes.max.to_i).to be <= [largest, (20 if largest == 19)].compact.max, "#{part.kind.id} #{part.options}"
      end
    end
  end

  it "is the same of the same class, days and seed, and another of another seed" do
    expect(shape(week)).to eq(shape(week))
    expect(shape(week)).not_to eq(shape(week(seed: 4)))
  end

  it "repeats no item within it, nor one of the last school days" do
    first = week.days.flat_map(&:parts)
    taken = first.flat_map { |part| part.items.uniq.map { |data| [part.kind.id, data] } }
    expect(taken.uniq).to eq(taken)
    again = week(recent: taken).days.flat_map(&:parts)
    expect(again.flat_map { |part| part.items.map { |data| [part.kind.id, data] } } & taken).to eq([])
  end

  it "takes new ones in turn, none twice before the others that fit, and then the one done longest ago" do
    fresh = week.days.filter_map(&:fresh).map(&:fresh)
    expect(fresh).to all(match(["activity", String])).and satisfy { |all| all.uniq == all }
    parts = week(met: everything).days.flat_map(&:parts)
    expect(parts.none?(&:fresh)).to be(true)
    expect(parts.map(&:why)).to include(match(/done last on \d+ \w+\./))
  end

  it "brings a story that is new where no activity is, in the order they are taught, and the range before both" do
    activities = everything.reject { |(what, _), _| what == "situation" }
    days = week(met: activities, operation: "subtract").days
    told = days.first(4).map { |day| day.parts.find { |part| part.role == :story } }
    expect(told.map do |part|
      part.options["situation"]
    end).to eq(%w[together.both together.both add_to.change add_to.change])
    expect(told.map { |part| part.fresh&.first }).to eq(["situation", nil, "situation", nil])
    expect(told.map(&:why)).to match([start_with("New to this class: the story “"), include("once more")] * 2)

    opened = week(met: activities.merge(%w[range to10] => monday - 9), band: "teens").days
    expect(opened.filter_map do |day|
      day.fresh&.fresh
    end.first(2)).to match([["range", "teens"], %w[situation together.total]])
    expect(week(met: { %w[range to10] => monday - 9 }, band: "teens").days.first.fresh.fresh).to eq(%w[range teens])
  end

  it "fills one place of a day with the next best, until there is none" do
    beside, taken = [Rungs::Activity::ALL.fetch("quick_look")], []
    while (part = week(days: 1, without: taken).next_best(:main, beside: beside))
      expect(taken).not_to include(part.kind.id)
      expect([part.role, part.minutes <= 25]).to eq([:main, true])
      taken << part.kind.id
    end
    expect(taken.size).to be > 10
    expect(week(days: 1).next_best(:main, fresh: true)).to be_nil
    stories = %w[add_to.result together.total].map { |id| "story_time #{id}" }
    expect(week(days: 1, without: stories.first(1)).next_best(:story).options["situation"]).to eq("together.total")
  end

  it "knows the place in a day of what a teacher put there" do
    roles = Rungs::Activity::ALL.to_h { |kind| [kind.id, Rungs::Planning::Choice.role_of(kind)] }
    expect(roles).to include("quick_look" => :warm_up, "story_time" => :story, "two_cards" => :game, "twins" => :main,
                             "whose_way" => :compare)
  end

  it "proposes last what needs things that are not there" do
    first = week.days.first.fresh.kind
    things = Rungs::Activity::ALL.flat_map { |kind| kind.materials.map(&:thing) }.uniq
    others = week(has: things - first.materials.map(&:thing)).days.filter_map(&:fresh).map(&:kind)
    expect(others).not_to include(first)
    expect(week(has: things).days.first.fresh.kind).to eq(first)
  end

  it "brings out slips of late first, and takes the next best where one was exchanged" do
    slipping = week(slips: %w[start_counted]).days.first.fresh
    expect(slipping.kind.slips).to include("start_counted")
    expect(slipping.why).to include("a slip of late, the starting number counted as a step")
    other = week(slips: %w[start_counted], without: [slipping.kind.id]).days.first.fresh
    expect(other.kind).not_to eq(slipping.kind)
  end
end

RSpec.describe Rungs::Planning::Widening do
  let(:on) { Date.new(2026, 11, 26) }

  def records(rung, count: 6, right: 6, day: on - 3)
    Array.new(count) do |index|
      Rungs::Progress::Record.new(rung: rung, day: day, right: index < right, help: "alone", fact: [index, 1],
                                  affords: [1, 2, 3, 5])
    end
  end

  def offer(children, band: "to10") = described_class.offer(band: band, children: children, on: on)

  it "offers the next range where enough are ready, and names who is not, and what for" do
    class_of = ("a".."i").to_h { |name| [name, records(3)] }
    found = offer(class_of.merge("slow" => records(1), "new" => records(3, count: 2)))
    expect(found).to have_attributes(following: "teens", ready: 9, enough: 10, all: 11)
    expect(found.waiting).to eq("slow" => "still counting all", "new" => "not heard enough")
  end

  it "offers nothing too early: two thirds with enough records, and four fifths of these ready" do
    ready, few, wrong = records(3), records(3, count: 3), records(3, right: 4)
    expect(offer({ "a" => ready, "b" => ready, "c" => few })).not_to be_nil
    expect(offer({ "a" => ready, "b" => few, "c" => few })).to be_nil
    expect(offer({ "a" => ready, "b" => ready, "c" => ready, "d" => wrong })).to be_nil
    expect(offer({ "a" => ready, "b" => ready, "c" => ready, "d" => ready, "e" => wrong }).ready).to eq(4)
    expect(offer({ "a" => records(3, day: on - 60) })).to be_nil
    expect(offer({}, band: "to10")).to be_nil
    expect(offer({ "a" => ready }, band: "to100")).to be_nil
  end

  it "asks for parts and wholes from the first range through ten on" do
    expect(offer({ "a" => records(2) }, band: "teens")).not_to be_nil
    expect(offer({ "a" => records(2) }, band: "bridge")).to be_nil
    expect(offer({ "a" => records(3) }, band: "bridge").following).to eq("to20")
  end
end

RSpec.describe Rungs::Planning::Bring do
  def material(per, count)
    Rungs::Activity::Material.new(thing: "counters", per: per, count: count, instead: "buttons")
  end

  it "counts for everybody, each pair, each group or the class, with a tenth to spare of what is small" do
    amounts = { %w[child] => 22 * 10, %w[pair] => 11 * 10, %w[group] => 6 * 10, %w[class] => 10 }
    amounts.each do |(per), in_all|
      expect(described_class.amount(material(per, 10), 22)).to eq((in_all * Rational(11, 10)).ceil)
    end
    expect(described_class.amount(material("pair", 2), 7)).to eq(8)
  end

  it "asks for as many beads as are hidden among" do
    kinds = [5, 20, 10].map { |whole| Rungs::Activity::ALL.fetch("hidden_beads").with("whole" => whole) }
    expect(kinds.map { |kind| kind.materials.map(&:count) }).to eq([[5], [20], [10]])
    expect(described_class.for(kinds, children: 10).map(&:in_all)).to eq([220])
  end

  it "lists each thing once, as many as the activity that needs most" do
    things = described_class.for(Rungs::Activity::ALL.to_a, children: 22)
    expect(things.map(&:thing)).to eq(things.map(&:thing).uniq)
    expect(things.map(&:in_all)).to all(be_positive)
  end
end
