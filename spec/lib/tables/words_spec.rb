# frozen_string_literal: true

# Words and days, against what is kept of them.
RSpec.describe "The words’ tables" do
  let(:monday) { Date.new(2026, 11, 30) }

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
