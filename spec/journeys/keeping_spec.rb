# frozen_string_literal: true

require "journey_helper"

RSpec.describe "Records", type: :feature do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:folder) { Dir.mktmpdir("rungs-saved") }

  before { hear_everybody(room, teacher[0]) }
  after { FileUtils.rm_rf(folder) }

  # What the browser saves, as soon as it is there whole.
  def saved
    before = Dir["#{folder}/*"]
    page.driver.browser.execute_cdp("Page.setDownloadBehavior", behavior: "allow", downloadPath: folder)
    yield
    Timeout.timeout(30) do
      sleep 0.1 until (file = (Dir["#{folder}/*"] - before).grep_v(/crdownload/).first) && File.size?(file)
      file
    end
  end

  it "takes a whole class out, and brings it into a new account, from where it can be taken back", :deep do
    enter(teacher[0])
    click_link "Records"
    expect(page).to have_css("h1", text: "Records of #{room.name}")
    expect_accessible
    file = saved { click_button "Save the class" }
    clear_cookies_and_enter(make_teacher(children: ["Zed"])[0])
    click_link "Records"
    attach_file "file", file
    click_button "Look at it"
    expect(page).to have_css(".lead", text: "#{room.name}: 5 children, 1 lesson, 20 answers, 0 photos")
    expect_accessible
    click_button "Bring it in"
    expect(page).to have_css(".note", text: "is brought in")
    expect(page).to have_css("h1", text: "Records of #{room.name}")
    expect(page).to have_css(".margin", text: "Ada")
    click_button "Take it back"
    expect(page).to have_css(".margin", text: "Zed")
    expect(complaints).to eq([])
  end

  def clear_cookies_and_enter(account)
    page.driver.browser.manage.delete_all_cookies
    enter(account)
  end

  it "reads last year's answers in, the match shown and changed, and answers a family in three presses", :deep do
    table = File.join(folder, "last.csv")
    File.write(table, "Who,Day,Sum,Way\nAda,2026-03-02,9 + 5 = ?,2\nAda,x,1 + 1 = ?,1\n")
    enter(teacher[0])
    click_link "Records"
    attach_file "file", table
    click_button "Look at it"
    expect(page).to have_css("[role=alert]", text: "Say which column is child")
    { "child" => "Who", "rung" => "Way" }.each { |what, heading| select heading, from: what }
    click_button "Read these columns"
    expect(page).to have_css(".lead", text: "1 line can be read: 1 new")
    expect(page).to have_css("li", text: "Line 3: “x” is not a date")
    click_button "Bring them in"
    expect(page).to have_css(".note", text: "1 answer brought in")
    find("summary", text: "Choose a child").click
    select "Ada", from: "Child"
    told = JSON.parse(File.read(saved { click_button "The file" }))
    expect(told["observations"].size).to eq(5)
  end

  it "hands a class over: what is ticked goes as a file, each doubtful name is asked about, and one child by a code",
     :deep do
    enter(teacher[0])
    click_link "Records"
    find("summary", text: "The file").click
    uncheck room.children.last.name
    file = saved { within("form[action$=handed]") { click_button "Make the file" } }
    find("summary", text: "Offer a child").click
    select room.children.last.name, from: "offered"
    click_button "Make a code"
    code = find(".keeping-code").text
    expect_accessible
    taker = make_teacher(children: %w[Adah Bo])
    clear_cookies_and_enter(taker[0])
    click_link "Records"
    attach_file "file", file
    click_button "Look at it"
    expect(page).to have_css("td", text: "perhaps Adah")
    expect_accessible
    select "Adah", from: "Who Ada is"
    click_button "Bring them in"
    expect(page).to have_css(".note", text: "4 children and 16 answers brought in")
    fill_in "code", with: code.downcase
    click_button "Look", exact: true
    expect(page).to have_css(".lead", text: "1 child")
    click_button "Bring them in"
    expect(page).to have_css(".margin", text: room.children.last.name)
    expect(taker[1].refresh.children.size).to eq(5)
    expect(room.refresh.children.size).to eq(4)
    expect(complaints).to eq([])
  end
end
