# frozen_string_literal: true

require "journey_helper"

# A part being conducted on a tablet held upright and on a phone: what the hand needs while children speak is in view at
# once, and nothing lies over it.
RSpec.describe "A part in the hand", type: :feature do
  let(:names) { ("A".."X").map { |letter| "#{letter}mira" } }
  let(:teacher) { make_teacher(children: names) }
  let(:room) { teacher[1] }

  let(:needed) { ".conducting h1, .step-on .button-large, .stage, .bar, .off-ladder .toggle, .dock, .conduct-keys > *" }
  # Of all that selectors find, what is not wholly in view, or has something over its middle.
  let(:hidden_of) { <<~JS }
    return [...document.querySelectorAll(arguments[0])].filter((each) => each.checkVisibility()).filter((each) => {
      const box = each.getBoundingClientRect();
      const middle = box.x + Math.min(box.width, innerWidth - box.x) / 2;
      const there = document.elementFromPoint(middle, box.y + box.height / 2);
      return box.top < 0 || box.bottom > innerHeight || !(each.contains(there) || there?.contains(each));
    }).map((each) => each.textContent.trim().slice(0, 30));
  JS

  def hidden(selectors) = page.driver.browser.execute_script(hidden_of, selectors)
  def first_names(count) = Array.new(count) { |at| ".children li:nth-child(#{at + 1}) .child" }.join(", ")

  def begin_part(kind)
    lesson = room.start_lesson(room.today)
    lesson.course.go(lesson.course.plan(kind, minutes: 5))
  end

  def expect_all_in_view(kind)
    begin_part(kind)
    { [820, 1180] => ".children .child", [390, 844] => first_names(8) }.each do |size, children|
      page.driver.browser.execute_cdp("Emulation.setDeviceMetricsOverride", width: size[0], height: size[1],
                                                                            deviceScaleFactor: 1, mobile: false)
      visit "/conduct/#{room.id}"
      next if page.has_no_css?("#listen.conducting", wait: 0.2)

      expect([kind, size, hidden("#{needed}, #{children}")]).to eq([kind, size, []])
      all(".children .child").first.click
      all(".off-ladder .toggle, .bar").first.click
      expect(page).to have_css(".dock .now h2", text: "just now")
      expect([kind, size, hidden("#{needed}, .undo-now, #{children}")]).to eq([kind, size, []])
    end
  end

  before { enter_by_hand(teacher[0]) }
  after { page.driver.browser.execute_cdp("Emulation.clearDeviceMetricsOverride") }

  %w[story_time hidden_beads by_heart].each do |kind|
    it("is in view whole: #{kind}") { expect_all_in_view(kind) }
  end

  it "is in view whole in every other activity", :deep do
    (Rungs::Activity::ALL.ids - %w[story_time hidden_beads by_heart own_part]).each { |kind| expect_all_in_view(kind) }
  end
end
