# frozen_string_literal: true

require "journey_helper"

# A first teacher's hour: an account, a class from a pasted list, a lesson of four parts, ten children heard, a look
# back, a note; on a laptop, a tablet and a phone.
RSpec.describe "A first hour", type: :feature do
  names = %w[Ami Bent Cleo Dara Eske Finn Gita Hana Ilse Jory Kaya Leif Mato Nell Odo Pia Quin Rafi Suri Tari Uma Vito
             Wren Yusa]
  # Which of all controls of a page lie under something else once they are scrolled to.
  covered = <<~JS
    const shown = (e) => e.checkVisibility({ visibilityProperty: true }) && e.getClientRects().length > 0;
    return [...document.querySelectorAll("main a, main button, main input, main select, main textarea, main summary")]
      .filter((e) => shown(e) && !e.closest(".visually-hidden, .choice, dialog") && e.type !== "hidden")
      .filter((e) => {
        e.scrollIntoView({ block: "center", inline: "center", behavior: "instant" });
        const box = e.getClientRects()[0];
        if (box.width < 2 || box.height < 2) return false;
        const top = document.elementFromPoint(box.left + box.width / 2, box.top + box.height / 2);
        return !(e.contains(top) || top?.contains(e) || top?.closest("label")?.contains(e));
      })
      .map((e) => e.outerHTML.slice(0, 120));
  JS

  def sized(width, height)
    page.driver.browser.execute_cdp("Emulation.setDeviceMetricsOverride", width: width, height: height,
                                                                          deviceScaleFactor: 1, mobile: false)
  end

  after { page.driver.browser.execute_cdp("Emulation.clearDeviceMetricsOverride") }

  # Nothing sideways, nothing covered, no word that was not meant to be read.
  define_method(:expect_fit) do
    where = page.current_path
    wide = page.evaluate_script("document.documentElement.scrollWidth - document.documentElement.clientWidth")
    expect([where, wide]).to eq([where, 0])
    expect([where, page.execute_script(covered)]).to eq([where, []])
    expect(page.text).not_to match(/translation missing|undefined|\bnil\b|\bNaN\b|%\{|#<|\b1 (children|answers)\b/i)
  end

  def hear(name, rung)
    find("[data-child][data-name='#{name}']").click
    find(".bar", text: rung).click
    expect(page).to have_css("#just-now h2", text: name)
  end

  { "a laptop" => [1280, 800], "a tablet" => [820, 1180], "a phone" => [390, 844] }.each do |device, size|
    it "goes well on #{device}", :deep do
      sized(*size)
      visit "/account/login"
      expect_fit
      click_link "Make an account"
      fill_in "Your name", with: "Ms Fern"
      fill_in "E-mail", with: "#{SecureRandom.hex(6)}@harbour.example"
      fill_in "Password", with: "short"
      fill_in "What the class is called", with: "Room 12"
      click_button "Make the account"
      expect(page).to have_text("at least 10 characters, please").and have_no_text("requirements")
      fill_in "Password", with: AppHelper::PASSWORD
      click_button "Make the account"

      within("main") { click_link "Add the children" }
      fill_in "list", with: ["No;Name", *names.each_with_index.map { |name, index| "#{index + 1};#{name}" }].join("\n")
      click_button "See the list"
      expect_fit
      click_button "Add 24 children"
      expect(page).to have_text("Room 12 now has 24")
      expect_fit

      click_link "To Today"
      expect_fit
      click_link "Plan the lesson"
      expect_fit
      click_button "The usual four"
      expect_fit
      click_button "Start"
      expect_fit
      of_lesson "Pose a problem"
      expect_fit
      click_button "Next: story problem"
      of_lesson "Listen"
      expect_fit
      names.first(9).each_with_index { |name, index| hear(name, ["Count all", "Count on"][index % 2]) }
      find("[data-child][data-name='#{names[9]}']").click
      click_button "no answer"
      expect(page).to have_css(".log tr", text: names[9])
      expect_fit
      expect(page).to have_css(".margin .tick", count: 10)

      visit find(".tab, .conduct-section a", text: "Today", visible: :all, match: :first)[:href]
      expect_fit
      expect(page).to have_no_text("#{names[0]} has not been heard")
      find(".tab", text: "Climb").click
      expect(page).to have_css(".climb")
      expect_fit
      click_link "Look back"
      expect(page).to have_text("10 children heard, 10 answers to 1 problem: #{names.first(10).join(', ')}")
      expect_fit

      click_link "Today"
      click_link names[0], match: :first
      click_link "A note for the family"
      fill_in "Now", with: "#{names[0]} counts with care."
      expect(page).to have_css("#kept", text: "Kept a moment ago")
      expect_fit
    end
  end
end
