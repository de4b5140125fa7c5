# frozen_string_literal: true

require "journey_helper"

RSpec.describe "Two devices on one lesson", type: :feature do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let!(:posed) { pose(room) }

  def remote(text) = within("#remote") { click_button text }

  it "shows on the board what the teacher does on Listen, and catches up after a dropped line" do
    enter(teacher[0])
    visit "/listen/#{room.id}"
    click_button "Open on another machine"
    code = find("#remote strong").text[/[A-Z]{6}/]

    using_session(:projector) do
      visit "/b/"
      fill_in "Board code", with: code
      click_button "Open it"
      expect(page).to have_css("h1", text: "9 and 5")
      expect(page).to have_no_css("nav, .margin")
      expect_accessible
    end
    remote "Show the picture"
    expect(page).to have_button("Cover the picture")
    using_session(:projector) { expect(page).to have_css("svg[aria-label='9 and 5 in rows']") }
    remote "4"
    expect(page).to have_css("#remote [data-value='4 1']") # a press names the step it goes to
    remote "4"
    using_session(:projector) do
      expect(page).to have_css(".board-down", text: "10 + 4 = 14")
      page.driver.browser.network_conditions = { offline: true, latency: 0, throughput: 0 }
    end
    remote "Cover the picture"
    expect(page).to have_button("Show the picture")
    using_session(:projector) do
      page.driver.browser.delete_network_conditions
      expect(page).to have_css(".board-cover", wait: 15)
      complaints
    end
    expect_accessible
  end

  it "follows in a second window of one machine, keys and all", :deep do
    enter(teacher[0])
    visit "/board/#{room.id}"
    second = open_new_window
    within_window(second) { visit "/board/#{room.id}" }
    press " ", "s"
    expect(page).to have_css(".board-sentence", text: "9 + 5 =")
    within_window(second) { expect(page).to have_css(".board-sentence", text: "9 + 5 =") }
    second.close
  end

  it "speaks of the problem on the board on the tablet too, and names what was heard of another" do
    other = pose(room, [8, 3])
    enter(teacher[0])
    visit "/listen/#{room.id}?problem=#{other.id}"
    tap_child "Ada"
    tap_rung "Count on"
    expect(page).to have_css("#just-now", text: "Ada, just now")
    tap_child "Bo"
    room.lesson_on(room.today).put_on_board(posed)
    expect(page).to have_css("h1", text: "9 and 5")
    tap_rung "Make ten"
    expect(page).to have_css("#just-now", text: "Bo, just now: make ten")
    expect(room.observations_dataset.order(:id).select_map(:problem_id)).to eq([other.id, posed.id])
    visit page.current_url
    expect(page).to have_css(".log tr", text: /Ada.*with 8 \+ 3/m)
    expect(find(".log tr", text: "Bo")).to have_no_text("with")
  end

  it "puts a new problem on the board as soon as it is posed", :deep do
    code = posed.lesson.open_code
    using_session(:projector) { visit "/b/#{code}" }
    enter(teacher[0])
    visit "/plan/#{room.id}"
    fill_in "equation", with: "7 + ? = 12"
    click_button "Pose the equation"
    expect(page).to have_css("h1", text: "7 + □ = 12")
    using_session(:projector) { expect(page).to have_css("h1", text: "7 +") }
    visit "/listen/#{room.id}?problem=#{posed.id}"
    remote "Put this problem on the board"
    using_session(:projector) { expect(page).to have_css("h1", text: "9 and 5") }
  end
end
