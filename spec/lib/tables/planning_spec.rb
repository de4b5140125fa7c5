# frozen_string_literal: true

# Weeks, offers and what to bring, against what is kept of them.
RSpec.describe "The plans’ tables" do
  planning = Rungs::Planning

  let(:monday) { Date.new(2026, 11, 30) }

  it "hold for weeks in every range and operation, of a new class and of one that has met much", :deep do
    met = Rungs::Activity::ALL.ids.each_with_index.to_h { |id, at| [["activity", id], monday - 3 - at] }
    all = planning::Widening::ORDER.product(%w[add subtract], [20, 40], [2, 3], [{}, met])
    expect_table("weeks", all.to_h do |band, operation, minutes, rung, known|
      children = (0..6).to_h { |at| [at.to_s, { band => answers(6, band, at / 3) }] }
      slip = planning::SharedSlip.new(id: "start_counted", names: %w[0 1 2])
      week = planning::ProposedWeek.new(
        days: Rungs::SchoolDays.from(monday, 5), minutes: minutes, met: known, seed: minutes,
        aim: planning::Aim.new(operation: operation, range: band, rung: rung),
        standing: planning::Standing.new(children, on: monday, year: rung == 2 ? "kindergarten" : "first"),
        slips: known.any? ? [slip] : []
      )
      ["#{band} #{operation} #{minutes} #{rung} #{known.size}",
       [week.i_can, week.standing.edges, week.check.to_h, week.outlook.other_numbers.map(&:to_h),
        week.outlook.with_adult,
        week.days.map { |day| [day.date, day.parts.map(&:to_h)] },
        planning::Bring.for(week.days.flat_map { |day| day.parts.map(&:kind) }, children: minutes).map(&:to_s)]]
    end)
  end

  it "hold for the offer of the next range", :deep do
    all = planning::Widening::ORDER.product([0, 2, 3, 4, 6], [0, 1, 2])
    expect_table("widening", all.to_h do |band, ready, wrong|
      children = Array.new(6) { |at| [at, answers(at < ready ? 5 : 2, band, wrong)] }.to_h
      ["#{band} #{ready} #{wrong}", planning::Widening.offer(band: band, children: children, on: monday).to_h]
    end)
  end

  def answers(many, band, wrong)
    facts = Rungs::Problem::Pool.of("add", band).problems
    Array.new(many) do |at|
      Rungs::Progress::Record.new(day: monday - 1 - (at * 9), rung: [2, 3, 3, 4][at % 4], affords: facts[at].affords,
                                  fact: facts[at].fact, right: at >= wrong, help: "alone")
    end.reverse
  end

  it "hold for number words, names told apart and school days" do
    expect_table("words", { "numbers" => [*0..130, 200, 300, 700, 999, 1000].map do |each|
      Rungs::NumberWords.say(each)
    end,
                            "names" => [["Ada Low", "Ada Long", "Bo", "Cy Ash", "Cy Ash"], ["Ana", "Ana B", "Ana Bo"]]
                                       .map { |names| Rungs::FirstNames.of(names) },
                            "days" => (0..20).map do |more|
                              [Rungs::SchoolDays.after(monday + more),
                               Rungs::SchoolDays.between(monday, monday + more),
                               Rungs::SchoolDays.from(monday + more, 3)]
                            end })
  end
end
