# frozen_string_literal: true

require "journey_helper"

# At a desk, on a tablet and on a phone, by a newcomer and by who hears the page.
RSpec.describe "Every hand", type: :feature do
  let(:children) { Rungs::Problem::Story::NAMES.first(25) }
  let(:teacher) { make_teacher(children: children) }
  let(:room) { teacher[1] }
  let(:posed) { pose(room, [9, 4]) }

  before { enter(teacher[0]) }
  after { size }

  def size(width = nil, height = 0)
    return page.driver.browser.execute_cdp("Emulation.clearDeviceMetricsOverride") unless width

    page.driver.browser.execute_cdp("Emulation.setDeviceMetricsOverride", width: width, height: height,
                                                                          deviceScaleFactor: 1, mobile: false)
  end

  # Top, bottom, left and right in the window.
  def box(css)
    page.evaluate_script("(() => { const b = document.querySelector(arguments[0]).getBoundingClientRect();" \
                         "return [b.top, b.bottom, b.left, b.right] })()".sub("arguments[0]", css.to_json))
  end

  # Those of these elements that cannot be pressed in their middle where they stand.
  def beneath(css)
    page.evaluate_script(<<~JS)
      [...document.querySelectorAll(#{css.to_json})].filter((each) => {
        const b = each.getBoundingClientRect();
        const there = document.elementFromPoint((b.left + b.right) / 2, (b.top + b.bottom) / 2);
        return !(there && (each.contains(there) || there.contains(each)));
      }).map((each) => each.textContent.trim())
    JS
  end

  def listen
    visit "/listen/#{room.id}?problem=#{posed.id}"
    expect(page).to have_css(".child[role=button]")
  end

  [[820, 1180, "tablet"], [390, 844, "phone"]].each do |width, height, what|
    it "on a #{what}: what belongs to a record stands whole, right above the names and never under them",
       deep: what == "tablet" do
      size(width, height)
      listen
      first(".child").click
      find("#rungs button[value=count_on]").click
      expect(page).to have_css("#just-now h2", text: "just now: count on")
      expect(page).to have_css("#dock")
      sleep 0.2
      top, bottom, left, right = box("#dock")
      expect([left, right]).to eq([0, page.evaluate_script("document.documentElement.clientWidth")])
      expect(bottom).to be_within(1).of(box(".margin")[0])
      expect(top).to be > 0
      expect(beneath("#added > .toggles button, .added-more .toggles button, #answered")).to eq([])
      expect(box("#added")[1]).to be <= bottom
    end
  end

  def conduct
    lesson = room.start_lesson(room.today)
    part = lesson.course.plan("two_groups", details: { options: {}, seed: 3 })
    lesson.course.go(part)
    visit "/conduct/#{room.id}"
    expect(page).to have_css(".child[role=button]")
  end

  it "on a phone: rungs, codes and eight names are on the first screen, the step and the question where one conducts" do
    size(390, 844)
    listen
    strip = box(".margin")[0]
    expect(beneath(".bar, .off-ladder .toggle")).to eq([])
    expect(page.evaluate_script("[...document.querySelectorAll('.off-ladder .toggle, .bar')]" \
                                ".every((each) => each.getBoundingClientRect().bottom <= #{strip})")).to be(true)
    shown = page.evaluate_script("[...document.querySelectorAll('.margin .child')].filter((each) => " \
                                 "{ const b = each.getBoundingClientRect(); " \
                                 "return b.left >= 0 && b.right <= 390 && b.bottom <= 844 }).length")
    expect(shown).to be >= 8
    wide, seen = page.evaluate_script("(() => { const d = document.documentElement; " \
                                      "return [d.scrollWidth, d.clientWidth] })()")
    expect(wide).to eq(seen)
    conduct
    expect(beneath(".bar, .step-on .button-large, #now h1")).to eq([])
    expect(box(".bar-1")[1]).to be <= box(".margin")[0]
  end

  it "at a desk: 25 names stand beside the page without a bar of their own", :deep do
    size(1280, 800)
    %W[/today/#{room.id} /climb/#{room.id}/children/#{room.children.first.id} /week/#{room.id}].each do |path|
      visit path
      expect(page).to have_css(".margin .child", count: 25)
      high, seen = page.evaluate_script("(() => { const m = document.querySelector('.margin'); " \
                                        "return [m.scrollHeight, m.clientHeight] })()")
      expect(high).to be <= seen
    end
  end

  it "tells a newcomer one line and the rest on request, in words that fit; conducting has its own", :deep do
    size(390, 844)
    { "/lesson/#{room.id}" => "A lesson is a few parts in order.", "/climb/#{room.id}" => "Each row is a child.",
      "/listen/#{room.id}?problem=#{posed.id}" => "A child, then the rung you heard.",
      "/sheets/#{room.id}" => "See a page, then print it." }.each do |path, line|
      visit path
      expect(page).to have_css(".explain:not([open]) summary", text: line)
      expect(page).to have_no_css(".explain p", visible: true)
      top, bottom, = box(".explain summary span")
      expect([path, bottom - top]).to match([path, be < 30])
      visit path
      expect(page).to have_css(".explain summary", exact_text: "How")
    end
    conduct
    find(".conduct-more > summary").click
    find(".conduct-more details summary", text: "How").click
    expect(page).to have_css(".conduct-more p", text: "What to say stands on top")
  end

  it "says one sentence a record to who listens, and which child and rung are pressed", :deep do
    listen
    tap_child(children[1])
    expect(page).to have_css(".child[aria-pressed=true]", text: children[1], count: 1)
    tap_rung("Make ten")
    expect(page).to have_css("#said", text: "#{children[1]}: make ten.", exact_text: true, visible: :all)
    expect(page).to have_css(".bar-4[aria-pressed=true]")
    expect(page).to have_css("#rungs [aria-pressed=true]", count: 1)
    live = page.all("[aria-live=polite], [role=status]", visible: :all).map { |each| each[:id] }
    expect(live & %w[live log]).to eq([])
    tap_child(children[2])
    expect(page).to have_no_css("#rungs [aria-pressed=true]")
    first("#log form button").click
    expect(page).to have_css("#said", text: "taken back.", visible: :all)
  end

  it "keeps nothing that is reached by keys behind the strip of names", :deep do
    size(820, 700)
    listen
    hidden = page.evaluate_script(<<~JS)
      [...document.querySelectorAll("main a, main button, main summary, main input")]
        .filter((each) => each.checkVisibility({ contentVisibilityAuto: true }) && !each.closest(".dock"))
        .filter((each) => {
          each.focus();
          const b = each.getBoundingClientRect();
          return b.bottom > document.querySelector(".margin").getBoundingClientRect().top + 1 && b.height < 200;
        }).map((each) => each.textContent.trim())
    JS
    expect(hidden).to eq([])
  end

  it "begins a child's page with the newest weeks, and a sheet with its page", :deep do
    hear_everybody(room, teacher[0])
    size(390, 844)
    visit "/climb/#{room.id}/children/#{room.children.first.id}"
    expect(page).to have_css(".timeline")
    expect(page.evaluate_script("document.querySelector('.timeline').getBoundingClientRect().right")).to be <= 391
    [[390, 844], [820, 1180]].each do |width, height|
      size(width, height)
      visit "/sheets/#{room.id}"
      expect(page).to have_css(".sheets-drawing", text: "The page is drawn", visible: :all)
      expect(box(".sheets-desk")[0]).to be < box(".sheets-list")[0]
      expect(box(".sheets-desk")[0]).to be < 220
    end
  end

  it "takes everybody to the same place by a name, on every page of a lesson, and does things at once after a stop",
     :deep do
    posed.lesson.course.go(posed.part)
    recorder = Records::Recorder.new(room, teacher[0])
    recorder.record(child: room.children.first, problem: posed, code: "make_ten", client_key: SecureRandom.uuid,
                    happened_at: Time.now)
    %w[listen conduct share].each do |place|
      visit "/#{place}/#{room.id}#{"?problem=#{posed.id}" unless place == 'conduct'}"
      first(".child", text: children[3]).click
      expect(page).to have_css(".child[aria-pressed=true]", text: children[3])
    end
    visit "/conduct/#{room.id}"
    of_lesson "Stop, go on another day"
    visit "/find/#{room.id}?activity=twins"
    click_button "Do it now"
    expect(page).to have_css(".conduct-part", text: "Twins")
  end

  it "says all that is wrong at once, and what is empty", :deep do
    visit "/plan/#{room.id}"
    fill_in "words", with: " "
    click_button "Pose it"
    expect(page).to have_css("[role=alert]", text: "The story is empty")
    visit "/account"
    using_session(:newcomer) do
      visit "/account/create-account"
      fill_in "Your name", with: "Dee"
      fill_in "E-mail", with: "nobody@b"
      fill_in "Password, 10 characters or more", with: "short"
      fill_in "What the class is called", with: "Room 1"
      click_button "Make the account"
      expect(page).to have_css("[role=alert]", text: "look at the e-mail and the password.")
      expect(page).to have_css("#email-error")
      expect(page).to have_css("#password-error", text: "at least 10 characters")
    end
  end

  it "enters the clipboard by nine where nobody saw how, as Listen does, and opens the keys by ?", :deep do
    posed
    visit "/sheets/#{room.id}/enter"
    expect(page).to have_css(".enter-cell.is-here")
    press("9")
    expect(page).to have_css(".mark[value=unseen][aria-pressed=true]", count: 1)
    press("?")
    expect(page).to have_css("#keys[open]")
  end

  it "a part of one's own: written, taken, its numbers changed, conducted and heard", :deep do
    visit "/find/#{room.id}"
    click_link "Your own"
    click_link "Write a part"
    fill_in "What it is called", with: "Clap it"
    fill_in "What you say, a line each", with: "Clap!\n(Seven, then five.)\nHow many?"
    fill_in "Number sentences, one a line, if you want", with: "7 + 5 = ?"
    expect_accessible
    click_button "Keep it, and take it into today’s lesson"
    expect(page).to have_css(".part .week-part", text: "Clap it")
    find("[aria-label^='More: clap it']").click
    click_link "Its numbers: Clap it"
    within("#item-1") do
      fill_in "the second", with: "6"
      click_button "Take these numbers"
    end
    expect(page).to have_css("#item-1", text: "changed by you")
    expect_accessible
    click_link "Done"
    click_button "Start"
    expect(page).to have_css("#now h1", text: "Clap!")
    expect(page).to have_css(".for-you", text: "Seven, then five.")
    find(".step-on .button-large").click
    expect(page).to have_css("#now h1", text: "How many?")
    find(".step-on .button-large").click
    expect(page).to have_css("#now h1", text: /7 \+ 6/)
    tap_child(children[0])
    tap_rung("Count on")
    expect(page).to have_css("#just-now h2", text: "just now: count on")
    visit "/own/#{room.id}"
    expect_accessible
  end
end
