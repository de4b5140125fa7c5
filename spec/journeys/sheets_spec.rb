# frozen_string_literal: true

require "journey_helper"

RSpec.describe "Paper", type: :feature do
  let(:teacher) { make_teacher(children: %w[Ada Bo Cleo Dag Eda]) }
  let(:room) { teacher[1] }
  let(:yesterday) { room.today - 1 }
  let(:records) { room.observations_dataset.standing.order(:id).all }

  before { enter(teacher[0]) }

  it "prints what the lesson needs, and follows what is chosen with a true preview" do
    room.start_lesson(room.today).course.plan("hidden_beads", details: { "seed" => 3 })
    visit "/sheets/#{room.id}"
    expect(page).to have_css("a[aria-current]", text: "Hidden beads")
    expect(page).to have_css("img.sheets-page")
    expect_accessible
    find("summary", text: "Practice").click
    click_link "Domino sums"
    find("label", text: "Letter").click
    expect(page).to have_css("img.sheets-page[src*='paper=letter']")
    loaded = "document.querySelector('.sheets-page').naturalWidth > 900"
    expect(page).to have_no_css("#trouble", text: /./)
    Timeout.timeout(20) { sleep 0.1 until page.evaluate_script(loaded) }
    expect(find_link("Print 5")[:href]).to include("paper=letter", "activity=domino_sums")
  end

  it "takes the clipboard in by keys, each once, at the time of its lesson, with undo and a wrong answer", :deep do
    lesson = room.start_lesson(yesterday)
    lesson.course.plan("twins", details: { "seed" => 3 })
    visit "/sheets/#{room.id}/enter?day=#{yesterday}"
    expect(page).to have_css(".enter-cell.is-here[aria-label^='Ada']")
    press "1", "2", "3", "4", "5", "g"
    expect(page).to have_css(".mark[aria-pressed='true']", count: 6)
    Timeout.timeout(20) { sleep 0.1 until room.observations_dataset.count == 6 }
    expect(records.map(&:code)).to eq(%w[count_all count_on part_whole make_ten known_fact guess])
    expect(records.map { |each| room.today(each.happened_at) }.uniq).to eq([yesterday])
    expect(records.map(&:problem_id).uniq.size).to eq(2)

    first(".said").set("9").send_keys(:tab)
    find(".enter-cell[aria-label^='Bo,'] .mark[value='count_on'][aria-pressed='true']").click
    Timeout.timeout(20) { sleep 0.1 until room.observations_dataset.standing.count == 5 }
    expect(room.observations_dataset.standing.where(answer: 9, right: false).count).to eq(1)
    visit "/sheets/#{room.id}/enter?day=#{yesterday}"
    expect(page).to have_css(".mark[aria-pressed='true']", count: 5)
    expect(first(".said").value).to eq("9")
    expect_accessible
  end
end
