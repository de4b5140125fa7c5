# frozen_string_literal: true

require "journey_helper"

RSpec.describe "A check-in with one child", type: :feature do
  let(:teacher) { make_teacher(children: %w[Ada Bo]) }
  let(:room) { teacher[1] }
  let(:ada) { room.children.first }

  it "asks four to ten problems, adapts, and sums up with its evidence" do
    enter(teacher[0])
    visit "/climb/#{room.id}/children/#{ada.id}"
    click_link "Check in with Ada"
    expect_accessible
    find("label", text: "Adding").click
    find("label", text: "through ten").click
    click_button "Begin"
    asked = 0
    until find(".check-in, .log")[:class].include?("log")
      expect_accessible if asked.zero?
      fill_in "Said, if it was wrong", with: "1" if asked == 1
      words = find("h1.story").text
      tap_rung "Count on"
      asked += 1
      expect(page).to have_no_css("h1.story", text: words)
    end
    expect(asked).to be_between(4, 10)
    expect(page).to have_css(".lead", text: "Works mostly by counting on, through ten")
    expect(page).to have_css(".log tbody tr", count: asked)
    expect_accessible
    expect(room.observations_dataset.standing.where(child_id: ada.id, code: "count_on").count).to eq(asked)
    expect(room.observations_dataset.where(right: false).count).to eq(1)
    click_link "See Ada’s line of time"
    expect(page).to have_css("h1", text: "Ada works out mostly by counting on, through ten")
    visit "/listen/#{room.id}"
    expect(page).to have_css("h1", text: "Listen") # its problems are Ada's alone
  end

  it "takes keys as Listen does, and Enter after a wrong answer records no rung", :deep do
    enter(teacher[0])
    visit "/check-in/#{room.id}/#{ada.id}"
    click_button "Begin"
    words = find("h1.story").text
    send_keys "x", "1", :enter, "2"
    expect(page).to have_no_css("h1.story", text: words)
    expect(room.observations_dataset.standing.select_map(%i[code answer right])).to eq([["count_on", 1, false]])
    send_keys "9"
    expect(page).to have_css(".check-in p.soft", text: "problem 3")
    expect(room.observations_dataset.standing.order(:id).last.code).to eq("unseen")
  end

  it "leaves operation, band and rung open unless told otherwise", :deep do
    enter(teacher[0])
    visit "/check-in/#{room.id}/#{ada.id}"
    click_button "Begin"
    until find(".check-in, .log")[:class].include?("log")
      words = find("h1.story").text
      tap_rung "Count all"
      expect(page).to have_no_css("h1.story", text: words)
    end
    expect(page).to have_css(".lead", text: /Adding: .*counting all.*Taking away: .*counting all/)
    expect(Records::PosedProblem.where(classroom_id: room.id).select_map(:operation).uniq).to match_array(%w[add
                                                                                                             subtract])
  end

  it "is another class's business to nobody else" do
    stranger = make_teacher[0]
    enter(stranger)
    visit "/check-in/#{room.id}/#{ada.id}"
    expect(page).to have_css("h1", text: "There is nothing here for you")
  end
end
