# frozen_string_literal: true

# Words and days, against what is kept of them.
RSpec.describe "The words’ tables" do
  let(:monday) { Date.new(2026, 11, 30) }

  it "hold for number words, names told apart and school days" do
    numbers = [*0..20, 21, 30, 44, 58, 99, 100, 101, 112, 130, 200, 999, 1000]
    names = [["Ada Low", "Ada Long", "Bo", "Cy Ash", "Cy Ash"], ["Ana", "Ana B", "Ana Bo"]]
    expect_table("words", {
      **numbers.to_h { |each| [each.to_s, Rungs::NumberWords.say(each)] },
      **names.to_h { |those| [those.join(", "), Rungs::FirstNames.of(those).inspect] },
      **(0..9).to_h do |more|
        days = Rungs::SchoolDays.between(monday, monday + more)
        [(monday + more).to_s,
         [Rungs::SchoolDays.after(monday + more), days, *Rungs::SchoolDays.from(monday + more, 3)].join(" ")]
      end
                 })
  end
end
