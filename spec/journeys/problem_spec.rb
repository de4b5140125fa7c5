# frozen_string_literal: true

require "journey_helper"

RSpec.describe "The mathematics on the screens", type: :feature do
  let(:teacher) { make_teacher(children: %w[Ada Bo]) }
  let(:room) { teacher[1] }

  before { enter(teacher[0]) }

  it "poses every situation, and a bare equation", :deep do
    visit "/plan/#{room.id}"
    Rungs::Problem::Situation::ALL.each do |situation|
      select "#{situation.group}: #{situation.question}", from: "what happens"
      expect(page).to have_css(".draft input[name=situation][value='#{situation.id}']", visible: :all)
    end
    pose = find_button("Pose it")
    expect(pose.evaluate_script("this.getBoundingClientRect().bottom")).to be < 800
    fill_in "equation", with: "8 + 4 = ? + 5"
    click_button "Pose the equation"
    expect(page).to have_css("h1", text: "8 + 4 = □ + 5")
    visit "/plan/#{room.id}"
    fill_in "equation", with: "5 - 9 = ?"
    click_button "Pose the equation"
    expect(page).to have_css(".wrong", text: "No number from 0 up")
    expect(page).to have_field("equation", with: "5 - 9 = ?")
    expect_accessible
  end

  it "explains a wrong answer, says what to ask, and poses the probe to that child next" do
    posed = pose(room)
    visit "/listen/#{room.id}?problem=#{posed.id}"
    press "a", "9"
    expect(page).to have_css(".now h2", text: "Ada, just now")
    press "x", "1", "5", :enter
    expect(page).to have_css(".slips", text: "Ada said 15. Likely:")
    expect(page).to have_css(".slips em", text: "How much of the smaller number did you use to get to ten?")
    expect_accessible
    click_button "Ask Ada 3 + 8 next"
    expect(page).to have_css("#place", text: "problem 2 of 2")
    expect(page).to have_css("[data-child][aria-current]", text: "Ada")
    expect(room.problems_dataset.last.parts.to_a).to eq([3, 8])
  end

  it "draws each rung's way on the board, step by step, and then its equations", :deep do
    pose(room)
    visit "/board/#{room.id}"
    expect(page).to have_css("h1", text: "9 and 5")
    press "4"
    expect(page).to have_css("svg[aria-label='Two ten-frames: 9 and 5']")
    expect(page).to have_no_css(".board-down")
    press "4"
    expect(page).to have_css("svg[aria-label='Two ten-frames: 9 and 5, 1 moved across to fill the ten']")
    expect(page).to have_css(".board-down", text: "10 + 4 = 14")
    press "2"
    expect(page).to have_no_css(".board-down")
    expect(page).to have_css("svg[aria-label='A number line to 20, starting at 9']")
    find("summary", text: "Draw").click
    find("[data-value^=rack]").click
    expect(page).to have_css("svg[aria-label='A number rack: 9 and 5 pushed over']", count: 1)
    expect_accessible
  end

  it "shows the gallery on the demo only, kind by kind, every picture with its words", :deep do
    Rungs::Picture::KINDS.each do |kind|
      visit "/gallery/#{kind.id}"
      expect(page).to have_css("h2", text: kind.title)
      expect(page).to have_css("figure svg[aria-label]", minimum: 3)
      expect(page).to have_no_css("figure svg:not([aria-label])")
    end
    expect_accessible
    allow(Settings).to receive(:demo_offer?).and_return(false)
    visit "/gallery"
    expect(page).to have_css("h1", text: "There is nothing here for you")
  end
end
