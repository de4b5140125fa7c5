# frozen_string_literal: true

require "journey_helper"

# Two devices at once in one class.
RSpec.describe "Two in the room", type: :feature do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:posed) { pose(room) }
  let(:helper) { make_teacher(children: []) }

  before do
    teacher[0].update(name: "Ada R")
    helper[0].update(name: "Ben T")
    posed
  end

  def join(account, role = "assistant")
    Records::Membership.dataset.insert(account_id: account.id, classroom_id: room.id, role: role)
  end

  def both
    enter(teacher[0])
    visit "/listen/#{room.id}?problem=#{posed.id}"
    using_session(:other) do
      enter(helper[0])
      visit "/listen/#{room.id}?problem=#{posed.id}"
    end
  end

  def tap_record(name, rung)
    find(".child", text: name).click
    find("#rungs button[value=#{rung}]").click
    expect(page).to have_css("#just-now h2", text: "#{name}, just now")
  end

  it "shows an assistant the lesson and the week, and nothing that only a teacher changes" do
    join helper[0]
    room.lesson_on(room.today).course.plan("toss")
    enter(helper[0])
    ["/lesson/#{room.id}", "/week/#{room.id}?from=#{room.today - ((room.today.wday - 1) % 7)}"].each do |path|
      visit path
      expect(page).to have_css(".week-part", text: "Toss")
      expect(page).to have_no_css(".more summary")
      expect(page).to have_no_button("Take out").and have_no_button("Propose another")
    end
    visit "/lesson/#{room.id}"
    find("summary", text: "Things to bring").click
    expect(page).to have_css(".things li")
    expect(page).to have_no_button("We have it")
  end

  it "a teacher invites; an assistant makes an account, and both go through a lesson, each seeing the other's taps",
     :deep do
    enter(teacher[0])
    visit "/people/#{room.id}"
    choose "Assistant"
    click_button "Make an invitation"
    code = find(".people-code strong").text
    expect_accessible
    using_session(:other) do
      visit "/invite/#{code}"
      click_link "Make an account"
      fill_in "Your name", with: "Cai"
      fill_in "E-mail", with: "cai#{SecureRandom.hex(3)}@harbour.example"
      fill_in "Password, 10 characters or more", with: "a lantern on the quay"
      click_button "Make the account"
      expect(page).to have_css("h1", text: "Ada R invites you to Room 9")
      expect_accessible
      click_button "Take it as Cai"
      expect(page).to have_css("h1", text: "Today in Room 9")
      click_link "Listen"
      expect(page).to have_css(".child", text: "Bo")
    end
    visit "/listen/#{room.id}?problem=#{posed.id}"
    using_session(:other) { tap_record("Bo", "count_on") }
    expect(page).to have_css("#children li", text: /Bo.*C/m)
    tap_record("Bo", "part_whole")
    expect(page).to have_css("#log", text: "Ada R: part–whole, Cai: count on")
    using_session(:other) { expect(page).to have_css("#log", text: "Ada R: part–whole, Cai: count on") }
    visit "/people/#{room.id}"
    within(".people", text: "Cai") { click_button "End it: Cai" }
    using_session(:other) do
      click_link "Today"
      expect(page).to have_css("h1", text: "There is nothing here for you")
    end
    expect(complaints).to eq([])
  end

  it "says within a moment whom the other has open and has heard, and shares the list out, changed by a tap" do
    join(helper[0])
    both
    using_session(:other) { find(".child", text: "Cleo").click }
    expect(page).to have_css("#children li", text: "open with B")
    using_session(:other) { find(".child", text: "Dag").click }
    expect(page).to have_css("#children li", text: /Dag.*open with B/m)
    expect(page).to have_no_css("#children li", text: /Cleo.*open with B/m)
    click_button "Share the list with Ben T"
    expect(page).to have_css(".share-by", count: 5)
    expect(page).to have_css(".share-by.is-mine", count: 3)
    expect_accessible
    first(".share-by.is-mine").click
    expect(page).to have_css(".share-by.is-mine", count: 2)
    using_session(:other) { expect(page).to have_css(".share-by.is-mine", count: 3) }
  end

  it "hears of a tap on the other device within 300 milliseconds, many times over", :deep do
    join(helper[0])
    both
    times = room.children.map do |child|
      mark = "document.getElementById('heard-#{child.id}')"
      page.execute_script(<<~JS)
        window.seen = null;
        new MutationObserver(() => { if (#{mark}.querySelector(".tick")) window.seen ??= Date.now(); })
          .observe(document.getElementById("children"), { subtree: true, childList: true });
      JS
      sent = using_session(:other) do
        find(".child", text: child.name).click
        button = "document.querySelector('#rungs button[value=count_on]')"
        page.evaluate_script("(() => { #{button}.click(); return Date.now(); })()")
      end
      expect(page).to have_css("#heard-#{child.id} .tick", visible: :all)
      page.evaluate_script("window.seen") - sent
    end
    expect(times.sort[times.size / 2]).to be < 300
  end

  it "an invitation opened by somebody signed in as another says who they are, and works once", :deep do
    invitation = Records::Invitation.make(room, teacher[0], "coach")
    enter(helper[0])
    visit "/invite/#{invitation.code}"
    expect(page).to have_button("Take it as Ben T")
    click_button "Sign out"
    third = make_teacher(children: [])[0]
    third.update(name: "Cora")
    enter(third)
    visit "/invite/#{invitation.code}"
    click_button "Take it as Cora"
    expect(page).to have_css("h1", text: "Classes I coach")
    expect(third.role_in(room)).to eq("coach")
    using_session(:other) do
      enter(helper[0])
      visit "/invite/#{invitation.code}"
      expect(page).to have_css(".lead", text: "taken up already")
    end
  end

  it "a coach visits: both hear the same answers, blind, then they stand side by side with one next step", :deep do
    join(helper[0], "coach")
    using_session(:other) do
      enter(helper[0])
      visit "/coach/#{room.id}"
      fill_in "Aim", with: "I can make ten"
      click_button "Plan it"
      expect(page).to have_css("h1", text: "A visit to Room 9")
      expect_accessible
      click_button "Begin to listen"
      expect(page).to have_css("#rungs")
      tap_record("Bo", "part_whole")
      expect(page).to have_no_css("#log", text: "Ada R")
    end
    enter(teacher[0])
    visit "/listen/#{room.id}?problem=#{posed.id}"
    expect(page).to have_no_css("#heard-#{room.children[1].id} .tick", visible: :all)
    tap_record("Bo", "count_on")
    expect(page).to have_css("#log", text: "Ada R: count on, Ben T: part–whole")
    using_session(:other) do
      visit "/coach/#{room.id}"
      first(".row a").click
      click_button "The visit is over"
      expect(page).to have_css(".visit-both", text: /Bo.*count on.*part–whole/m)
      fill_in "The next step", with: "Ask how before why"
      click_button "Write it down"
      expect(page).to have_css(".lead", text: "Ask how before why")
      expect_accessible
    end
    visit "/coach/#{room.id}"
    first(".row a").click
    click_button "I agree"
    expect(page).to have_css(".soft", text: "Agreed by both")
  end

  it "a newcomer goes through twelve clips by keys, each played, paused and told", :deep do
    enter(helper[0])
    visit "/ear/"
    click_button "Begin"
    expect(page).to have_css(".ear-words li.is-said", wait: 15)
    expect_accessible
    12.times do |number|
      expect(page).to have_css(".soft", text: "#{number + 1} of 12")
      press("3")
      expect(page).to have_css("[role=status]")
      press("n") unless number == 11
    end
    click_link "What you heard so far"
    expect(page).to have_css(".ear-table td.ear-right", minimum: 5)
    expect(page).to have_text("of 12 clips heard as they were")
    expect_accessible
    click_button "Begin"
    click_button "Step"
    said = page.all(".ear-words li.is-said").size
    click_button "Step" if page.has_css?(".ear-words li:not(.is-said)", visible: :all)
    expect(page).to have_css(".ear-words li.is-said", minimum: said)
  end
end
