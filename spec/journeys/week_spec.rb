# frozen_string_literal: true

require "journey_helper"

RSpec.describe "A week", type: :feature do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:monday) { room.today - (room.today.cwday - 1) + 7 }
  let(:days) { (monday..monday + 4).map { |day| room.lesson_on(day)&.course&.parts.to_a } }
  let(:week) { "/week/#{room.id}?from=#{monday}" }

  before { enter(teacher[0]) }
  after { page.driver.browser.execute_cdp("Emulation.clearDeviceMetricsOverride") }

  def hold(width, height)
    page.driver.browser.execute_cdp("Emulation.setDeviceMetricsOverride", width: width, height: height,
                                                                          deviceScaleFactor: 1, mobile: false)
  end

  # Status and type of what an address gives, asked for by the page itself.
  def given(address)
    page.evaluate_async_script(<<~JS, address)
      fetch(arguments[0]).then(async (answer) =>
        arguments[1]([answer.status, answer.headers.get("content-type"), (await answer.text()).slice(0, 15)]));
    JS
  end

  def fits?(width) = page.evaluate_script("document.documentElement.scrollWidth") <= width

  { "a laptop" => [1280, 800], "a tablet" => [820, 1180] }.each do |device, (width, height)|
    context "with #{device}", deep: device == "a tablet" do
      before { hold(width, height) }

      it "is proposed, exchanged and moved by pointer and keys" do
        visit "/lesson/#{room.id}?day=#{monday}"
        click_link "The week"
        click_button "Propose this week"
        expect(page).to have_css(".week-day .week-part", minimum: 18)
        page.scroll_to(:bottom)
        expect_accessible
        expect(fits?(width)).to be(true)
        focus = all("[aria-label^=Monday] li")[1]
        focus.find(".week-why summary").click
        expect(page).to have_css(".week-why[open] p", text: /\.|\?/)
        id, title = focus.find("[data-drag]")["data-drag"], focus.find(".week-part").text
        click_button "Exchange"
        expect(page).to have_no_css("[data-drag='#{id}']", text: title)

        part = days.first.first
        find("[data-drag='#{part.id}']").click
        within("[aria-label^=Friday]") { click_button "Move here" }
        expect(page).to have_css("[aria-label^=Friday] [data-drag='#{part.id}']")
        find("[data-drag='#{part.id}']").send_keys(:enter)
        within("[aria-label^=Monday]") { find("button", text: "Move here").send_keys(:enter) }
        expect(page).to have_css("[aria-label^=Monday] [data-drag='#{part.id}']")
      end

      it "has an aim, another proposal, and whole days and weeks again", :deep do
        visit week
        find("summary", text: "Change the aim").click
        select "ten and some", from: "numbers"
        fill_in "I can", with: "I can see ten and some more."
        click_button "Keep it"
        expect(page).to have_css(".week-aim", text: "I can see ten and some more.")
        click_button "Propose this week"
        titles = all(".week-part").map(&:text)
        on_monday = all("[aria-label^=Monday] .week-part").map(&:text)
        find("[aria-label='More of this week']").click
        click_button "Propose another"
        expect(page).to have_css(".note", text: "Another week")
        expect(all(".week-part").map(&:text)).not_to eq(titles)
        click_button "Undo"
        expect(page).to have_no_css(".note")
        expect(all(".week-part").map(&:text)).to eq(titles)

        within("[aria-label^=Wednesday]") do
          find(".more summary").click
          click_button "No school"
        end
        expect(page).to have_css("[aria-label^=Wednesday]", text: "No school")
        visit "/week/#{room.id}?from=#{monday + 7}"
        find("[aria-label='More of this week']").click
        find("summary", text: "Repeat an earlier week").click
        click_button "Repeat it"
        expect(all("[aria-label^=Monday] .week-part").map(&:text)).to eq(on_monday)
      end

      it "offers a wider range where the class is ready", :deep do
        hear_everybody(room, teacher[0], on: [room.today - 1, room.today], code: "part_whole")
        Records::Week.new(room, monday).aim("", band: "to10", operation: "add")
        visit week
        expect(page).to have_css(".week-offer", text: "5 of 5 are ready for ten and some")
        click_button "Open it"
        expect(page).to have_css(".week-about", text: "numbers ten and some")
        click_button "Propose this week"
        expect(page).to have_css(".week-day .marker")
      end

      it "lists what to bring for a day or the week, less what is on the shelf, and prints it", :deep do
        %w[toss domino_sums].each_with_index { |kind, index| room.lesson_for(monday + index).course.plan(kind) }
        visit week
        expect(page).to have_css(".things li", text: "Set of dominoes 3")
        within(".things") { find("li", text: "Set of dominoes").click_button("We have it") }
        expect(page).to have_no_css(".things > li", text: "Set of dominoes")
        find("summary", text: "On your shelf").click
        expect(page).to have_css("details .things li", text: "Set of dominoes")
        within("[aria-label='Things to bring for']") { find("a", text: "Mon").click }
        expect(page).to have_css("h2", text: "Print")
        expect(page).to have_no_css(".things li", text: "dominoes", visible: :all)
        expect(page).to have_button("Print for Monday")
        fields = all(".week-print input:not([type=checkbox]), .week-print input:checked", visible: :all)
        query = fields.map { |field| "#{field[:name]}=#{field[:value]}" }.join("&")
        expect(given("/sheets/#{room.id}/pack.pdf?#{query}")).to match([200, "application/pdf", start_with("%PDF")])
      end

      it "is handed to whoever takes the class by a link, and called back", :deep do
        course = room.lesson_for(room.today).course
        course.plan("two_groups")
        visit "/lesson/#{room.id}"
        find("summary", text: "Somebody else takes the class?").click
        click_button "Make the link"
        link = find(".address")[:href]
        page.driver.browser.manage.delete_all_cookies
        visit link
        expect(page).to have_css("h1", text: "You take Room 9 today")
        expect_accessible
        expect(fits?(width)).to be(true)
        click_button "Start"
        expect(page).to have_css(".conducting h1.story")
        expect_accessible
        tap_child "Bo"
        tap_rung "Count on"
        expect(page).to have_css("#just-now", text: "Bo, just now: count on")
        expect(room.observations_dataset.first).to have_attributes(substitute: true, code: "count_on")
        room.lesson_on(room.today).call_back
        tap_child "Ada"
        tap_rung "Count all"
        expect(page).to have_css("#trouble", text: "not good any more")
        visit "/climb/#{room.id}"
        expect(page).to have_field("E-mail")
        expect(room.observations_dataset.count).to eq(1)
        expect(complaints).to all(include("401"))
      end

      it "goes into a calendar, and stands over the term", :deep do
        room.lesson_for(monday).course.plan("twins")
        visit week
        find("[aria-label='More of this week']").click
        find("summary", text: "In a calendar").click
        click_button "Make a private address"
        find("[aria-label='More of this week']").click
        find("summary", text: "In a calendar").click
        address = find_link("save it as a file")[:href]
        expect(given(address)).to match([200, /calendar/, start_with("BEGIN:VCALENDAR")])
        click_button "Change the address"
        find("[aria-label='More of this week']").click
        find("summary", text: "In a calendar").click
        expect(find_link("save it as a file")[:href]).not_to eq(address)
        expect(given(address).first).to eq(404)
        click_link "The term"
        expect(page).to have_css("table.term th", text: "Hidden beads")
        expect(page).to have_css("table.term td", text: "not yet", minimum: 20)
        expect(page).to have_css("table.term .not-yet", minimum: 20)
        expect_accessible
        expect(fits?(width)).to be(true)
      end
    end
  end
end
