# frozen_string_literal: true

require "journey_helper"

RSpec.describe "Quick looks", type: :feature do
  let(:teacher) { make_teacher(children: %w[Ada Bo]) }
  let(:room) { teacher[1] }

  def begin_set(arrangement, seconds)
    visit "/looks/#{room.id}"
    find("label", text: seconds.to_s, exact_text: true).click
    select arrangement, from: "Arranged"
    click_button "Begin"
    expect(page).to have_css(".tap-picture svg")
  end

  def tap(*orders) = orders.each { |order| find("[data-order='#{order}']").click }

  before { enter(teacher[0]) }

  it "shows a picture on the board for its seconds, covers it, and shows it again" do
    begin_set("tones", 2)
    click_button "Open on another machine"
    code = find(".remote strong").text[/[A-Z]{5}/]
    expect(page).to have_css("h1", text: "Quick looks")
    using_session(:projector) do
      visit "/b/#{code}"
      expect(page).to have_css("h1", text: "How many?")
      expect(page).to have_no_css("svg")
    end
    2.times do |time|
      click_button time.zero? ? "Show it for 2 seconds" : "Look again"
      using_session(:projector) do
        expect(page).to have_css(".board-picture svg[aria-label*='in two tones']", wait: 4)
        expect(page).to have_css(".board-cover", wait: 4)
        expect(page).to have_no_css(".board-picture svg")
        expect_accessible
      end
    end
  end

  # A machine that does other things may be late, never early: the nearest of five tells what the board does.
  it "shows it for as long as was asked, to 50 milliseconds" do
    code = room.start_lesson(room.today).open_code
    begin_set("ring", 1)
    using_session(:projector) { visit "/b/#{code}" }
    lasted = Array.new(5) do |time|
      click_button time.zero? ? "Show it for 1 second" : "Look again"
      using_session(:projector) do
        expect(page).to have_css(".board-picture svg", wait: 4)
        expect(page).to have_css(".board-cover", wait: 4)
        page.evaluate_script("Number(document.body.dataset.lastFlash)")
      end
    end
    expect(lasted).to all(be >= 950)
    expect(lasted.min).to be_within(50).of(1000)
  end

  it "catches how a child saw it: tapped groups write the expression, the same way again is a tally" do
    begin_set("tones", 1)
    room.lesson_on(room.today).look_on_board.number
    while (number = room.lesson_on(room.today).look_on_board.number) < 4
      shown = find(".look-page p.soft", match: :first).text
      click_button "Next picture"
      expect(page).to have_no_css(".look-page p.soft", text: shown)
    end
    expect(page).to have_css(".tap-picture [data-order]", count: number)
    tap 1, 2, 3
    click_button "Next group"
    tap(*4..number)
    expect(page).to have_css("#expression", text: "3 + #{number - 3} = #{number}")
    fill_in "by", with: "A"
    click_button "Keep this way"
    expect(page).to have_css("figcaption", text: "3 + #{number - 3} = #{number} A")
    fill_in "or type", with: "3 + #{number - 3}"
    fill_in "by", with: "B"
    click_button "Keep this way"
    expect(page).to have_css("figcaption", text: /×2\s+A B/)
    tap 1, 2
    click_button "Keep this way"
    expect(page).to have_css(".wrong", text: "in no group yet")
    fill_in "or type", with: "#{number} + 1"
    click_button "Keep this way"
    expect(page).to have_css(".wrong", text: "#{number} + 1 is #{number + 1}, and there are #{number}")
    expect_accessible
    click_button "Ways on the board"
    expect(page).to have_css("[value=ways][aria-pressed=true]")
    visit "/board/#{room.id}"
    expect(page).to have_css(".board-ways figcaption", text: "3 + #{number - 3} = #{number}", exact_text: true)
    visit "/looks/#{room.id}"
    click_button "with initials"
    expect(page).to have_css("[value=initials][aria-pressed=true]")
    visit "/board/#{room.id}"
    expect(page).to have_css(".board-ways figcaption", text: "A B")
  end

  it "gives the board back when a problem is posed" do
    begin_set("frame", 1)
    visit "/plan/#{room.id}"
    fill_in "equation", with: "2 + 3 = ?"
    click_button "Pose the equation"
    expect(page).to have_css("h1", text: "2 + 3 =")
    visit "/board/#{room.id}"
    expect(page).to have_css("h1", text: "2 + 3 =")
  end
end
