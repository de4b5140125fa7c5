# frozen_string_literal: true

require "journey_helper"

RSpec.describe "Listening to one class", type: :feature do
  let(:teacher) { make_teacher(children: [*"Aa".."Ax"]) }
  let(:room) { teacher[1] }
  let(:posed) { pose(room) }

  before do
    enter(teacher[0])
    visit "/listen/#{room.id}?problem=#{posed.id}"
  end

  def standing = room.observations_dataset.standing.in_order.all

  it "records 24 children on one problem in 24 times two taps, with no typing" do
    taps = 0
    room.children.each_with_index do |child, index|
      tap_child child.name
      tap_rung Rungs::Strategy::Rung.at((index % 5) + 1).title
      taps += 2
    end
    expect(page).to have_css("#tally", text: "24 heard, 0 to go", wait: 20)
    expect([standing.size, taps]).to eq([24, 48])
  end

  it "names the likely move from the numbers tapped in, and takes it with one tap" do
    tap_child "Ab"
    find("#hearing summary").click
    within("#hearing") do
      %w[9 10 11 12 13 14].each { |number| find("[data-heard='#{number}']").click }
      find("[data-heard='back']").click
      expect(page).to have_css(".candidate", text: "9 was counted as the first step")
      expect_accessible
      find(".candidate", text: "Count on, from the first").click
    end
    expect(page).to have_css(".log", text: "count on, from the first, said 13, said 9 10 11 12 13")
    expect(standing.first).to have_attributes(code: "count_on", move: "on_first", answer: 13, right: false, heard: [9, 10, 11, 12, 13], seconds: nil)
    expect(page).to have_css(".slips", text: "counted as the first step")
  end

  it "keeps the seconds from posing to tap only when asked to" do
    check "keep the seconds from posing to tap"
    press "a", "5"
    expect(page).to have_css(".log tr", count: 1)
    expect(standing.first.seconds).to be_between(0, 60)
    visit "/listen/#{room.id}?problem=#{posed.id}"
    expect(page).to have_checked_field("keep the seconds from posing to tap")
    uncheck "keep the seconds from posing to tap"
    press "a", "2"
    expect(page).to have_css(".log tr", count: 2)
    expect(standing.last.seconds).to be_nil
  end
end
