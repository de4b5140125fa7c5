# frozen_string_literal: true

require "journey_helper"

RSpec.describe "A first lesson", type: :feature do
  let(:teacher) { make_teacher(children: %w[Ada Bo Bram Cleo Uma]) }
  let(:room) { teacher[1] }

  before { enter_by_hand(teacher[0]) }

  def standing = room.observations_dataset.standing.in_order.all
  def codes = standing.map { |row| [row.child.name, row.code] }

  it "goes from posing to the board, listening and the climb, by pointer" do
    click_link "Pose a problem"
    select "Some leave: how many are left?", from: "what happens"
    select "through ten", from: "numbers"
    expect(page).to have_css(".sum", text: "through ten")
    before = find("#words").value
    click_button "Another one"
    expect(page).to have_no_field("words", with: before)
    all(".number input")[0].set("13")
    all(".number input")[1].set("4")
    click_button "Use these numbers"
    expect(page).to have_css(".sum", text: "13 − 4 = 9")
    story = find("#words").value
    click_button "Pose it"
    expect(page).to have_css("h1", text: story)

    tap_child "Ada"
    tap_rung "Count on"
    expect(page).to have_css(".log tr", count: 1, text: "count on")
    expect(page).to have_css("#tally", text: "1 heard, 4 to go")
    within("[role=group][aria-label=Help]") { click_button "prompted" }
    expect(page).to have_css(".log", text: "count on, prompted")
    within("[role=group][aria-label=Used]") { click_button "fingers" }
    expect(page).to have_css(".log", text: "prompted, fingers")
    find(".answers summary").click
    within(".strip") { click_button "10" }
    expect(page).to have_css(".log", text: "said 10")
    tap_rung "Make ten" # another rung right after corrects
    expect(page).to have_css(".log tr", count: 1, text: "make ten")
    tap_child "Bo"
    click_button "no answer"
    expect(page).to have_css(".log tr", count: 2)
    expect(codes).to eq([%w[Ada make_ten], %w[Bo no_answer]])
    expect(standing.first).to have_attributes(help: "prompted", used: ["fingers"], answer: 10, right: false)

    first(".log button", text: "Undo").click
    expect(page).to have_css(".log tr", count: 1)
    expect(page).to have_css("#tally", text: "1 heard, 4 to go")
    expect(codes).to eq([%w[Ada make_ten]])

    click_link "Climb"
    find("nav[aria-label=Operation] a", text: "Taking away").click
    within("tr", text: "Ada") { all(".cell")[3].click }
    expect(page).to have_css("dialog[open]", text: "1 answer: make ten, today; one more and a rung stands here.")
    click_link "See Ada’s line of time"
    expect(page).to have_css("svg.timeline")
    expect(page).to have_css("h1", text: "not enough heard, through ten")
  end

  it "is recorded by keyboard: letters, rungs, wrong answers, undo, next", :deep do
    first = pose(room)
    pose(room, [3, 4], at: Time.now + 1)
    visit "/listen/#{room.id}?problem=#{first.id}"
    press "a", "2"
    expect(page).to have_css(".log tr", count: 1)
    press "x", "1", "3", :enter
    expect(page).to have_css(".log", text: "said 13")
    press "b", "b", "4" # the second child with b
    expect(page).to have_css(".log tr", count: 2)
    press "U", "g" # a capital reaches a name whose letter is a command
    expect(page).to have_css(".log tr", count: 3)
    press "c", "0"
    expect(page).to have_css(".log tr", count: 4)
    press "u"
    expect(page).to have_css(".log tr", count: 3)
    expect(codes).to eq([%w[Ada count_on], %w[Bram make_ten], %w[Uma guess]])
    expect(standing.first.answer).to eq(13)
    press "n"
    expect(page).to have_css("h1", text: "3 and 4")
  end

  it "takes 24 quick taps in a row, each once", :deep do
    posed = pose(room)
    visit "/listen/#{room.id}?problem=#{posed.id}"
    expect(page).to have_css(".bar", count: 5)
    24.times { |index| press %w[a b c][index % 3], (1 + (index % 5)).to_s }
    Timeout.timeout(60) { sleep 0.1 until room.observations_dataset.count == 24 }
    expect(standing.size).to eq(24)
    expect(standing.map(&:happened_at).sort).to eq(standing.map(&:happened_at))
  end

  it "loses nothing when two windows record at once", :deep do
    posed = pose(room)
    windows = [current_window, open_new_window]
    windows.each { |window| within_window(window) { visit "/listen/#{room.id}?problem=#{posed.id}" } }
    3.times do |round|
      windows.each_with_index do |window, index|
        within_window(window) do
          press %w[a c][index], (round + 1).to_s, %w[a c][index]
        end
      end
    end
    Timeout.timeout(60) { sleep 0.05 until room.observations_dataset.count >= 6 }
    expect(codes.tally.values.sum).to eq(6)
    windows.last.close
  end

  it "keeps taps while there is no connection and sends them when it is back" do
    posed = pose(room)
    visit "/listen/#{room.id}?problem=#{posed.id}"
    page.driver.browser.network_conditions = { offline: true, latency: 0, throughput: 0 }
    press "a", "2", "c", "3"
    expect(page).to have_css("#trouble", text: /waiting: no connection/)
    page.driver.browser.delete_network_conditions
    expect(page).to have_css(".log tr", count: 2, wait: 10)
    expect(page).to have_no_css("#trouble", visible: :visible)
    expect(codes).to contain_exactly(%w[Ada count_on], %w[Cleo part_whole])
  end

  it "asks for a child before a rung", :deep do
    visit "/listen/#{room.id}?problem=#{pose(room).id}"
    tap_rung "Count on"
    expect(page).to have_css("#trouble", text: "Pick a child first")
    expect(standing).to be_empty
  end

  describe "the board" do
    before { pose(room, [13, 4], situation: "take_from.result") }

    it "shows and covers the picture, crosses out, writes the sentence when asked, and leaves, without names" do
      visit "/board/#{room.id}"
      expect(page).to have_css("h1", text: "13 and 4")
      expect(page).to have_no_css(".board-picture svg", visible: :visible)
      room.children.each { |child| expect(page).to have_no_text(child.name) }
      press " "
      expect(page).to have_css(".board-picture svg", visible: :visible, count: 1)
      expect(page).to have_css("svg[aria-label='13 in rows']")
      press :arrow_right
      expect(page).to have_css("h1", text: "how many?")
      press :arrow_right
      expect(page).to have_css("svg[aria-label='13 in rows, 4 struck through']")
      find("summary", text: "Draw").click
      find("[data-value^=frame]").click
      expect(page).to have_css("svg[aria-label='Two ten-frames: 13']")
      press " "
      expect(page).to have_css(".board-cover")
      expect(page).to have_no_css(".board-picture svg")
      press " ", "s"
      expect(page).to have_css(".board-sentence", text: "13 − 4 =")
      press :arrow_right, :arrow_right
      expect(page).to have_css(".board-sentence", text: "13 − 4 = 9")
      press :escape
      expect(page).to have_current_path(%r{/conduct/})
    end

    it "goes on and back with the arrows", :deep do
      pose(room, [2, 3], at: Time.now + 1)
      visit "/board/#{room.id}"
      expect(page).to have_css("h1", text: "2 and 3")
      press :arrow_left
      expect(page).to have_css("h1", text: "thirteen take away four is nine")
      press :arrow_right
      expect(page).to have_css("h1", text: "2 and 3")
    end
  end
end
