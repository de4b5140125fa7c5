# frozen_string_literal: true

require "journey_helper"

RSpec.describe "A lesson in parts", type: :feature do
  let(:teacher) { make_teacher(children: %w[Ada Bo Cleo]) }
  let(:room) { teacher[1] }

  def part_titles = all(".parts .week-part").map(&:text)

  before { enter(teacher[0]) }

  # One child to five, one beyond ten: each with numbers of its own.
  def work_elsewhere
    recorder = Records::Recorder.new(room, teacher[0])
    { 0 => [[2, 3], "count_all"], 1 => [[28, 5], "make_ten"] }.each do |place, (parts, code)|
      (5..7).each do |back|
        posed = pose(room, parts, at: Time.now - (86_400 * back), day: room.today - back)
        recorder.record(child: room.children[place], problem: posed, code: code, happened_at: posed.posed_at,
                        client_key: SecureRandom.uuid)
      end
    end
  end

  it "is planned part by part, begun, gone through on the board and stopped, and gone on with another day" do
    click_link "Plan the lesson"
    click_button "The usual four"
    expect(part_titles).to eq(["Quick looks", "A story problem", "Whose way?", "By heart"])
    expect_accessible
    visit "/find/#{room.id}?activity=number_string"
    select "uses the double beside it", from: "leads to"
    click_button "Take it into today’s lesson"
    expect(part_titles.last).to eq("A string")
    find("[aria-label='More: a string, part 5']").click
    find("[aria-label='Earlier: a string, part 5']").click
    expect(page).to have_css(".parts li:nth-child(4)", text: "A string")
    within(".parts li:nth-child(5)") do
      find("summary").click
      click_button "Take out: by heart, part 5"
    end
    expect(page).to have_css(".parts li", count: 4)
    find(".week-part", text: "A string").click
    find(".week-part", text: "Quick looks").click
    expect(page).to have_css(".parts li:nth-child(1)", text: "A string")
    expect(part_titles).to eq(["A string", "Quick looks", "A story problem", "Whose way?"])
    find(".week-part", text: "A string").click
    find(".week-part", text: "Whose way?").click
    expect(page).to have_css(".parts li:nth-child(4)", text: "A string")

    work_elsewhere
    find("[aria-label='More: a story problem, part 2']").click
    click_link "Its story"
    select "through ten", from: "numbers"
    expect(page).to have_css(".sum", text: "through ten")
    expect(page).to have_checked_field("Easier").and have_checked_field("Harder")
    expect_accessible
    story = find("#words").value
    click_button "Put it in the plan"
    expect(page).to have_css(".parts", text: story[0, 20])
    expect(room.problems_dataset.where { posed_at > Time.now - 3600 }.count).to eq(0)

    click_button "Start"
    expect(page).to have_css(".conduct", text: "Quick looks 1 of 4")
    expect(page).to have_css("[role=timer]", text: /0:\d\d of 3 min/)
    expect(page).to have_css(".tap-picture svg")
    click_button "Next: story problem"
    expect(page).to have_css("h1", text: story)
    expect(page).to have_css(".number-sets button", count: 3)
    find(".number-sets button", text: "harder").click
    expect(page).to have_css(".number-sets [aria-pressed=true]", text: "harder")
    tap_child "Ada"
    tap_rung "Count on"
    expect(page).to have_css(".log tr", count: 1)
    expect(room.observations_dataset.order(:id).last.posed_problem.number_set).to eq("harder")
    of_lesson "Back to the part before"
    expect(page).to have_css(".conduct", text: "Quick looks")
    of_lesson "Leave this part out"
    expect(page).to have_css(".conduct", text: "A story problem")
    click_button "Next: whose way?"
    expect(page).to have_css("h1", text: "What is the same?")
    expect_accessible
    click_button "Next: string"
    expect(page).to have_css(".conducting", text: "1 of 4")
    of_lesson "Stop, go on another day"
    expect(page).to have_css(".note", text: "The lesson has stopped")
    expect(page).to have_no_css(".conduct")

    room.lesson_on(room.today).update(held_on: room.today - 1)
    visit "/today/#{room.id}"
    expect(page).to have_text("Still to do: string")
    expect_accessible
    click_button "Go on with it"
    expect(page).to have_css(".conduct", text: "A string 1 of 1")
    click_button "Finish the lesson"
    expect(page).to have_css(".note", text: "The lesson is done")
  end

  it "shows the clock to the teacher only, and puts a problem posed in between into a part of its own", :deep do
    code = room.start_lesson(room.today).open_code
    visit "/find/#{room.id}?activity=by_heart"
    click_button "Do it now"
    expect(page).to have_css(".remote", text: "/b/#{code}")
    using_session(:projector) do
      visit "/b/#{code}"
      expect(page).to have_css("h1", text: "Think first.")
      expect(page).to have_no_text("min")
      expect_accessible
    end
    of_lesson "Pose a problem"
    fill_in "equation", with: "9 + 4 = ?"
    click_button "Pose the equation"
    expect(page).to have_css(".conduct", text: "A story problem 2 of 2")
    visit "/board/#{room.id}"
    expect(page).to have_css("h1", text: "9 + 4 =")
  end

  it "takes a string one problem at a time and keeps the ways offered for each", :deep do
    room.update(settings: Sequel.pg_jsonb("turned" => "one"))
    visit "/find/#{room.id}?activity=number_string"
    click_button "Do it now"
    click_button "Open on another machine"
    expect(page).to have_css(".remote", text: "/b/#{room.lesson_on(room.today).code}")
    2.times do |time|
      click_button "Another"
      expect(page).to have_text("#{time + 2} of 4")
    end
    expect(room.problems_dataset.select_order_map(:item)).to eq([0, 1, 2])
    problem = room.problems_dataset.last.problem
    find("summary", text: "Ways that may be heard").click
    within("details.fold[open]") { select "Ada", from: "by" }
    within(".said-ways") { first("button", text: /more is/).click }
    expect(page).to have_css("figcaption", count: 1, text: /more is .* A/)
    2.times do |turn|
      rest = problem.whole - 10
      fill_in "a way given", with: turn.zero? ? "10 + #{rest}" : "#{rest} + 10"
      find("button", text: "Keep it", exact_text: true).click
      expect(page).to have_css("figcaption", text: turn.zero? ? "10 + #{rest} = #{problem.whole}" : "×2")
    end
    fill_in "a way given", with: "3 + 3"
    find("button", text: "Keep it", exact_text: true).click
    expect(page).to have_css("[role=alert]", text: "3 + 3 is 6, not #{problem.whole}")
    expect_accessible
    click_button "Ways on the board"
    expect(page).to have_css("[value=ways][aria-pressed=true]")
    visit "/board/#{room.id}"
    expect(page).to have_css(".board-ways figcaption", count: 2)
    expect_accessible
    find("body").send_keys("w")
    expect(page).to have_no_css(".board-ways")
    press(:arrow_left)
    expect(page).to have_css(".board-sentence", text: room.problems_dataset.all[-2].problem.solved.to_s)
  end

  it "writes the number sentences down the page where the class does so", :deep do
    visit "/account/classes/#{room.id}"
    find("label", text: "down the page").click
    click_button "Save these"
    expect(page).to have_css(".note", text: "Saved")
    posed = pose(room, [8, 7])
    posed.lesson.put_on_board(posed)
    visit "/board/#{room.id}?problem=#{posed.id}"
    3.times { press "4" }
    expect(page).to have_css(".board-down span:last-child", text: "= 10")
    expect(page).to have_css(".board-down li", count: 3)
    expect_accessible
  end
end
