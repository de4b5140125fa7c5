# frozen_string_literal: true

require "journey_helper"

RSpec.describe "Sharing ways", type: :feature do
  let(:teacher) { make_teacher(children: %w[Ada Bo Cleo]) }
  let(:room) { teacher[1] }
  let!(:posed) { pose(room, [8, 7]) }

  before do
    recorder = Records::Recorder.new(room, teacher[0])
    { "Ada" => "count_on", "Bo" => "make_ten", "Cleo" => "count_all" }.each do |name, code|
      recorder.record(child: room.children_dataset.first(name: name), problem: posed, code: code,
                      client_key: SecureRandom.uuid, happened_at: Time.now)
    end
    enter(teacher[0])
  end

  it "proposes ways heard, draws one step by step on the board with a second picture to check it, and without names" do
    code = posed.lesson.open_code
    using_session(:projector) { visit "/b/#{code}" }
    visit "/listen/#{room.id}?problem=#{posed.id}"
    click_link "Share ways"
    expect(all("li.proposed h2").map(&:text)).to eq(["Count all, counts each set, then everything",
                                                     "Count on, from the first", "Make ten, up through ten"])
    expect(page).to have_css("li.proposed", text: "Bo: the most abstract way heard")
    expect_accessible
    within(find("li.proposed", text: "Make ten")) do
      select "number line", from: "on"
      select "ten frame", from: "checked by"
      click_button "Show this way"
    end
    within(find("li.proposed", text: "Make ten")) { click_button "Next step" }
    using_session(:projector) do
      expect(page).to have_css("svg[aria-label='A number line to 20, starting at 8, jumps to 10']")
    end
    within(find("li.proposed", text: "Make ten")) { click_button "Next step" }
    using_session(:projector) do
      expect(page).to have_css("svg[aria-label$='jumps to 10, then 15']")
      expect(page).to have_css("svg[aria-label='Two ten-frames: 8 and 7, 2 moved across to fill the ten']")
      expect(page).to have_css(".board-down", text: "10 + 5 = 15")
      expect(page).to have_no_text("Bo")
      expect_accessible
    end
  end

  it "stands the ways just heard beside each other on the board, one press each, from where the lesson is conducted" do
    posed.lesson.course.go(posed.lesson.course.part(posed.part_id))
    visit "/conduct/#{room.id}"
    find("summary", text: /\AShare\z/).click
    expect(all("#share .toggle").map { |each| each.text[/Ada|Bo|Cleo/] }).to eq(%w[Cleo Ada Bo])
    find("#share .toggle", text: "Ada").click
    expect(page).to have_css("#now", text: "Stands on the board 1 way")
    find("#share .toggle", text: "Bo").click
    expect(page).to have_css("#now", text: "Where is the ten?")
    visit "/board/#{room.id}"
    expect(page).to have_css(".board-standing figure", count: 2)
    expect(page).to have_css("h1", text: "Can you find it in each drawing?")
    expect(page).to have_no_text("Bo")
    expect_accessible
  end

  it "draws the way of one child's record, on the picture chosen, with no name on the board", :deep do
    visit "/share/#{room.id}?problem=#{posed.id}"
    find("summary", text: "The way of one child").click
    select "up through ten", from: "as"
    within(find("details", text: "The way of one child")) do
      select "number line", from: "on"
      click_button "Show this way"
    end
    expect(page).to have_css("details[open]", text: "The way of one child")
    expect_accessible
    visit "/board/#{room.id}"
    expect(page).to have_css("svg[aria-label^='A number line to 20, starting at 8']")
    expect(page).to have_no_text("Bo")
  end

  it "draws a split of a child's own if it is right, and refuses it kindly if it is not", :deep do
    visit "/share/#{room.id}?problem=#{posed.id}"
    own = -> { find("li", text: "A way of a child’s own") }
    within(own.call) do
      select "7", from: "broke"
      all("input[type=number]").zip([3, 5]) { |field, number| field.set(number) }
      click_button "Show this way"
    end
    expect(page).to have_css(".wrong", text: "3 and 5 make 8, not 7")
    within(own.call) do
      select "7", from: "broke"
      all("input[type=number]").zip([3, 4]) { |field, number| field.set(number) }
      click_button "Show this way"
    end
    [1, 2].each do |step|
      within(own.call) { click_button "Next step" }
      Timeout.timeout(20) { sleep 0.05 until posed.lesson.refresh.board.drawn_step == step }
    end
    visit "/board/#{room.id}"
    expect(page).to have_css("svg[aria-label='A number line to 20, starting at 8, jumps to 11, then 15']")
    expect(page).to have_css(".board-down", text: "11 + 4 = 15")
  end
end
