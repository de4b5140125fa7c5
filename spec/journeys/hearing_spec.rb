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

  it "records 24 children on one problem in 24 times two taps, with no typing", :deep do
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
    expect(standing.first).to have_attributes(code: "count_on", move: "on_first", answer: 13, right: false,
                                              heard: [9, 10, 11, 12, 13], seconds: nil)
    expect(page).to have_css(".slips", text: "counted as the first step")
  end

  it "keeps the seconds from posing to tap only when asked to", :deep do
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

RSpec.describe "Names on Listen", type: :feature do
  let(:teacher) { make_teacher(children: %w[Ada Bo Cleo Dag Eda Fay Gus Hal]) }
  let(:room) { teacher[1] }
  let(:posed) { pose(room) }

  before do
    room.update(settings: Sequel.pg_jsonb("places" => "3"))
    hear "Ada", Time.now - 86_400
    hear "Bo", Time.now - (9 * 86_400)
    enter(teacher[0])
  end

  def hear(name, at)
    Records::Recorder.new(room, teacher[0]).record(child: room.children_dataset.first(name: name), problem: posed,
                                                   code: "count_on", client_key: SecureRandom.uuid, happened_at: at)
  end

  def names = all("[data-child]").map { |each| each["data-name"] }
  def seat(row, place) = find("[data-drop='#{((row - 1) * 6) + place - 1}']")

  it "puts today's list first and keeps it while it is heard", :deep do
    visit "/listen/#{room.id}"
    expect(names).to eq(%w[Cleo Dag Eda Ada Bo Fay Gus Hal])
    list = names
    expect(all(".name.marker").map(&:text)).to eq(list.first(3))
    tap_child "Dag"
    tap_rung "Count on"
    expect(page).to have_css(".log tr", text: "Dag")
    visit "/listen/#{room.id}"
    expect(names).to eq(list)
  end

  it "is dragged into the seating of the room, by pointer and by keyboard", :deep do
    visit "/listen/#{room.id}"
    click_link "Seats"
    find("[data-drag]", text: "Ada").drag_to(seat(1, 3))
    expect(page).to have_css("[data-drop='2']", text: "Ada")
    find("[data-drag]", text: "Bo").send_keys(:enter)
    expect(page).to have_css("[data-drag][aria-pressed=true]", text: "Bo")
    seat(1, 3).send_keys(:enter)
    expect(page).to have_css("[data-drop='2']", text: "Bo")
    expect(page).to have_css(".unseated [data-drag]", text: "Ada")
    click_button "Seat the rest in order"
    expect(page).to have_text("Everybody has a seat")
    expect_accessible
    seat(1, 1).drag_to(seat(1, 3))
    expect(page).to have_css("[data-drop='0']", text: "Bo")
    visit "/listen/#{room.id}?problem=#{posed.id}"
    click_button "Seats"
    expect(page).to have_css(".seat-c3.seat-r1", text: "Ada")
    tap_child "Hal"
    tap_rung "Make ten"
    expect(page).to have_css("li.seat-r2 .tick")
    expect_accessible
    click_button "List"
    expect(page).to have_no_css(".children-seated")
  end

  it "takes numbers typed as well as tapped", :deep do
    visit "/listen/#{room.id}?problem=#{posed.id}"
    tap_child "Cleo"
    find("#hearing summary").click
    fill_in "or type", with: "9, 10 11 12 13 14"
    find(".candidate", text: "Count on, from the first").click
    expect(page).to have_css(".log", text: "said 9 10 11 12 13 14")
    expect(find_field("or type").value).to eq("")
  end

  it "keeps a photo of the drawing with the record, also one taken while there was no connection", :deep do
    file = File.join(Dir.mktmpdir, "drawing.png")
    Vips::Image.black(400, 300).write_to_file(file)
    visit "/listen/#{room.id}?problem=#{posed.id}"
    tap_child "Cleo"
    tap_rung "Count on"
    find("summary", text: "Photo of the drawing").click
    expect(page).to have_css(".added", text: "The drawing, not the child")
    page.driver.browser.network_conditions = { offline: true, latency: 0, throughput: 0 }
    attach_file "Take it", file, make_visible: true
    expect(page).to have_css("#trouble", text: "1 tap is waiting")
    page.driver.browser.network_conditions = { offline: false, latency: 0, throughput: 1_000_000 }
    expect(page).to have_css(".photo img", wait: 10)
    expect_accessible
    visit "/climb/#{room.id}/children/#{room.children_dataset.first(name: 'Cleo').id}"
    expect(page).to have_css(".photo img")
    click_button "Delete this photo"
    expect(page).to have_css(".note", text: "The photo is deleted")
  end
end
