# frozen_string_literal: true

require "journey_helper"

RSpec.describe "An activity", type: :feature do
  let(:teacher) { make_teacher(children: %w[Ada Bo Cleo]) }
  let(:room) { teacher[1] }

  def connection(there)
    page.driver.browser.network_conditions = { offline: !there, latency: 0, throughput: there ? -1 : 0 }
  end

  before { enter(teacher[0]) }

  def find_activity(id, **options)
    visit "/find/#{room.id}?activity=#{id}"
    options.each { |name, choice| select choice, from: name.to_s }
    click_button "Do it now"
    expect(page).to have_css(".rail [aria-current]")
  end

  it "is found by what one wants to do, looked at, put into the plan and taken out again", :deep do
    click_link "Plan the lesson"
    click_link "Find something to do"
    click_link "Make ten"
    expect(page).to have_css(".find-cards strong", text: "Fill the frame")
    click_link "Fill the frame"
    expect(page).to have_css(".find-items svg", count: 6)
    expect_accessible
    select "5", from: "frame"
    expect(page).to have_css(".find-items", text: "= 5")
    first = find(".find-items").text
    click_link "Other numbers"
    expect(page).to have_no_css(".find-items", text: first, exact_text: true)
    expect(page).to have_select("frame", selected: "5")
    click_button "Take it into today’s lesson"
    expect(page).to have_css(".note", text: "Fill the frame is put into today’s lesson.")
    expect(page).to have_css(".parts li", text: "Fill the frame")
    find("[aria-label='More: fill the frame, part 1']").click
    click_button "Take out: fill the frame, part 1"
    expect(page).to have_no_css(".parts li")
  end

  it "is conducted step by step on the board, and heard in two taps without leaving the page" do
    find_activity("some_leave", "acted with" => "frame")
    expect(page).to have_css("h1", text: "are left?")
    expect_accessible
    board = open_new_window
    within_window(board) do
      visit "/board/#{room.id}"
      expect(page).to have_css("h1", text: "are left?")
    end
    { "Show it" => "Look", "They leave" => "They leave" }.each do |does, step|
      click_button does
      expect(page).to have_css(".rail [aria-current]", text: step)
    end
    tap_child "Ada"
    tap_rung "Count on"
    expect(page).to have_css("#tally", text: "1 heard, 2 to go")
    click_button "Write it"
    written = find(".aloud .kid").text
    expect(find(".aloud")).to have_text("take away")
    within_window(board) do
      expect(page).to have_css(".board-sentence", text: written)
      expect_accessible
      press(:arrow_left)
      expect(page).to have_no_css(".board-sentence")
    end
    visit "/conduct/#{room.id}"
    expect(page).to have_css(".rail [aria-current]", text: "They leave")
    expect(room.observations_dataset.first.posed_problem.equation).to eq(written.sub(/= \d+/, "= □"))
    click_button "Another"
    expect(page).to have_text("2 of 6")
    within_window(board) { board.close }
  end

  it "takes a throw of real counters, refuses one that cannot be, and keeps the ways children give", :deep do
    find_activity("toss")
    board = open_new_window
    within_window(board) { visit "/board/#{room.id}" }
    fill_in "thrown or dealt for real", with: "9"
    click_button "Take it"
    expect(page).to have_css("[role=alert]", text: "0 to 8 show the first colour")
    fill_in "thrown or dealt for real", with: "3"
    click_button "Take it"
    expect(page).to have_no_css("[role=alert]")
    click_button "Toss"
    expect(page).to have_css(".stage svg[aria-label^='3 and 5']")
    within_window(board) do
      expect(page).to have_css("body[data-fallen^='0.1'] .board-picture svg[aria-label^='3 and 5']")
      board.close
    end
    fill_in "a way given", with: "3 + 6"
    click_button "Keep it"
    expect(page).to have_css("[role=alert]")
    fill_in "a way given", with: "5 + 3"
    tap_child "Bo"
    click_button "Keep it"
    expect(page).to have_css("figcaption", text: "5 + 3 = 8 B")
    visit "/climb/#{room.id}/children/#{room.children.find { |child| child.name == 'Bo' }.id}"
    expect(page).to have_css(".turns li", text: "5 + 3 = 8 3 + 5 =")
  end

  it "plays a riddle that has no problem to record, and flashes a quick look and covers it", :deep do
    find_activity("number_riddle")
    expect(page).to have_css(".conducting-heard .bar-says", text: "strikes numbers at once")
    click_button "Clue 1"
    expect(page).to have_css(".rail [aria-current]", text: "Clue 1")
    find_activity("quick_look", "seconds" => "1")
    tap_child "Bo"
    find(".conducting-heard .bar-1").click
    expect(page).to have_css("#offered figcaption", text: /“one.*B/)
    visit "/board/#{room.id}"
    expect(page).to have_css("h1", text: "How many?")
    press(:arrow_right)
    expect(page).to have_css(".board-cover:not([hidden])")
    press(:escape)
    expect(page).to have_css(".conducting")
  end

  it "is worked with by hand in two windows at once, and nothing of it is lost", :deep do
    find_activity("fill_the_frame")
    first = room.lesson_on(room.today).course.current.items.item(0).data[:first]
    visit "/board/#{room.id}"
    press(:arrow_right)
    other = open_new_window
    within_window(other) { visit "/board/#{room.id}" }
    empty = (first..9).to_a
    place = ->(index) { find("[data-touch='#{index}']") }
    place.call(empty[0]).click
    expect(page).to have_css("svg[aria-label^='#{first + 1} there']")
    within_window(other) do
      expect(page).to have_css("svg[aria-label^='#{first + 1} there']")
      place.call(empty[0]).send_keys(:enter)
    end
    expect(page).to have_css("svg[aria-label*='#{first} + 1 = #{first + 1}']") unless first.zero?
    expect_accessible
    press("0")
    expect(page).to have_no_css("svg[aria-label*='there']")
    within_window(other) do
      expect(page).to have_no_css("svg[aria-label*='there']")
      other.close
    end
  end

  def heard
    room.observations.map { |each| [each.child.name, each.posed_problem.part.kind, each.posed_problem.item] }.sort
  end

  def hidden_sum = "#{room.lesson_on(room.today).course.current.items.item(0).answer} + 0"

  it "goes through a lesson of four parts on a tablet that loses its connection in the middle", :deep do
    page.current_window.resize_to(820, 1180)
    course = room.start_lesson(room.today).course
    %w[quick_look hidden_beads].each { |kind| course.plan(kind, details: { "seed" => 7 }) }
    story = Rungs::Activity::POSED.data_for(Rungs::Problem.from_story("take_from.result", [13, 5]),
                                            "13 sail, 5 come in. How many?")
    course.plan("story_time").items.add([story])
    course.plan("whose_way")
    visit "/today/#{room.id}"
    click_button "Start"
    click_button "Show it"
    expect(page).to have_css(".rail [aria-current]", text: "Look")
    click_button "Next: hidden beads"
    expect(page).to have_css("h1", text: "How many are hiding?")
    kept = page.evaluate_async_script("conducting.held().then((held) => arguments[0](held.children.length))")
    expect(kept).to be > 40
    connection(false)
    click_button "Show it"
    expect(page).to have_css("#trouble", text: "No connection")
    expect(page).to have_css("h1", text: "How many do you see?")
    tap_child "Bo"
    tap_rung "Part–whole"
    expect(page).to have_css(".is-waiting")
    fill_in "a way given", with: hidden_sum
    find("button", text: "Keep it", exact_text: true).click
    click_button "Another"
    expect(page).to have_text("2 of 6")
    tap_child "Cleo"
    tap_rung "Count on"
    click_button "Next: story problem"
    expect(page).to have_css("h1", text: "13 sail")
    tap_child "Ada"
    tap_rung "Count on"
    connection(true)
    expect(page).to have_css(".conduct", text: "A story problem 3 of 4", wait: 20)
    expect(page).to have_css(".log tr", count: 3)
    expect(heard).to eq([["Ada", "story_time", 0], ["Bo", "hidden_beads", 0], ["Cleo", "hidden_beads", 1]])
    expect(Records::Way.where(classroom_id: room.id).select_map(:tally)).to eq([1])
    expect(room.lesson_on(room.today).course.current.kind).to eq("story_time")
    click_button "Next: whose way?"
    click_button "Finish the lesson"
    expect(page).to have_css(".note", text: "The lesson is done")
  ensure
    page.current_window.resize_to(1280, 800)
  end

  it "is worked with on the tablet too, and follows what is done at the board", :deep do
    find_activity("jump_track")
    board = open_new_window
    within_window(board) { visit "/board/#{room.id}" }
    start = room.lesson_on(room.today).course.current.items.item(0).data[:start]
    find(".stage [aria-label='to #{start + 1}']").click
    expect(page).to have_css("#now", text: "#{start} + 1 = #{start + 1}")
    within_window(board) do
      expect(page).to have_css(".board-sentence", text: "#{start} + 1 = #{start + 1}")
    end
    tap_child "Cleo"
    click_button "Keep this as a way"
    expect(page).to have_css("#offered figcaption", text: "#{start} + 1 = #{start + 1} C")
    within_window(board) { press("0") }
    expect(page).to have_no_css("#now", text: "#{start} + 1 = #{start + 1}")
    expect_accessible
    within_window(board) do
      press(:arrow_right)
      board.close
    end
    expect(page).to have_css(".rail [aria-current]", text: "Look")
  end

  it "says so where its part was taken out of the lesson meanwhile, and nothing is lost" do
    find_activity("twins")
    lesson = room.lesson_on(room.today)
    lesson.course.current.delete
    click_button "Match them"
    expect(page).to have_css("#trouble", text: "That part was taken out of the lesson")
    visit "/board/#{room.id}"
    expect(page).to have_css("h1", text: "Ready when you are")
  end

  it "is kept where the connection is gone, and what was tapped is sent once", :deep do
    find_activity("twins")
    expect(page.evaluate_async_script("navigator.serviceWorker.ready.then(() => setTimeout(arguments[0], 500, true))"))
      .to be(true)
    connection(false)
    tap_child "Cleo"
    tap_rung "Known fact"
    expect(page).to have_css(".is-waiting")
    connection(true)
    expect(page).to have_css("#tally", text: "1 heard, 2 to go")
    expect(room.observations_dataset.count).to eq(1)
  end
end
