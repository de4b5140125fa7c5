# frozen_string_literal: true

require "journey_helper"

RSpec.describe "A week", type: :feature do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:monday) { room.today - (room.today.cwday - 1) + 7 }
  let(:days) { (monday..monday + 4).map { |day| room.lesson_on(day)&.course&.parts.to_a } }

  before { enter(teacher[0]) }
  after { page.driver.browser.execute_cdp("Emulation.clearDeviceMetricsOverride") }

  { "a laptop" => [1280, 800], "a tablet" => [820, 1180] }.each do |device, (width, height)|
    it "is proposed, changed and moved on #{device}" do
      page.driver.browser.execute_cdp("Emulation.setDeviceMetricsOverride", width: width, height: height,
                                                                            deviceScaleFactor: 1, mobile: false)
      visit "/lesson/#{room.id}?day=#{monday}"
      click_link "The week"
      click_button "Propose this week"
      expect(page).to have_css(".week-day .marker", minimum: 3)
      expect_accessible
      expect(page.evaluate_script("document.documentElement.scrollWidth")).to be <= width
      first(".week-day summary", text: "why").click
      expect(page).to have_css(".week-day details[open]", text: /\.|\?/)
      title = first(".week-part").text
      first("button", text: "Exchange").click
      expect(page).to have_no_css("[aria-label^=Monday] .week-part", text: title)

      part = days.first.first
      find("[data-drag='#{part.id}']").click
      within("[aria-label^=Friday]") { click_button "Move here" }
      expect(page).to have_css("[aria-label^=Friday] [data-drag='#{part.id}']")
      find("[data-drag='#{part.id}']").send_keys(:enter)
      within("[aria-label^=Monday]") { find("button", text: "Move here").send_keys(:enter) }
      expect(page).to have_css("[aria-label^=Monday] [data-drag='#{part.id}']")
      expect(page).to have_css("h2", text: "Bring")
      find("summary", text: "In a calendar").click
      click_button "Make a private address"
      find("summary", text: "In a calendar").click
      expect(page).to have_link(href: /calendar/)
    end
  end
end
