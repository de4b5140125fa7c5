# frozen_string_literal: true

require "journey_helper"

RSpec.describe "What the records say", type: :feature do
  let(:room) { Records::Classroom.first(demo: true) }
  let(:petra) { room.children_dataset.first(name: "Petra") }

  before do
    enter_demo
  end

  it "shows the class between two days, sorted, by families, and week by week" do
    visit "/climb/#{room.id}"
    expect(page).to have_css("table.climb tbody tr", count: room.children_dataset.count)
    expect_accessible
    click_link "through ten"
    expect(page).to have_css("th[aria-sort=descending]", text: "through ten")
    levels = all("tbody tr").filter_map { |row| row.all(".cell")[3][:class][/cell-(\d)/, 1]&.to_i }
    expect(levels).to eq(levels.sort.reverse)
    expect(page).to have_css(".moved-up")
    page.execute_script("const slider = document.querySelector('[name=from]'); slider.value = 0; " \
                        "slider.dispatchEvent(new Event('input', { bubbles: true })); slider.dispatchEvent(new " \
                        "Event('change', { bubbles: true }));")
    expect(page).to have_no_css(".moved-up")
    expect(page).to have_css(".sliders [data-shown]", text: room.today.strftime("%-d %B"), count: 2)
    find("summary", text: "Strategies by week").click
    expect(page).to have_css("svg.stack")
    expect_accessible
    click_link "Families"
    expect(page).to have_css("th", text: "doubles")
    expect(page).to have_css("th", text: "partners of ten")
    find("a", text: "Taking away").click
    expect(page).to have_css("h1", text: "Taking away")
  end

  it "shows one child with everything to press: line of time, repertoire, square, slips and what to ask next", :deep do
    visit "/climb/#{room.id}/children/#{petra.id}?operation=add&band=to10"
    expect(page).to have_css("svg.timeline a")
    expect_accessible
    all("svg.timeline a").last.click
    expect(page).to have_css("dialog[open] h2", text: "Petra: 1 record")
    expect(page).to have_css("dialog[open] tbody tr", count: 1)
    expect_accessible
    click_button "Close"
    first(".repertoire a").click
    expect(page).to have_css("dialog[open] h2", text: /Petra: \d+ records?/)
    click_button "Close"
    first(".fact-square a").click
    expect(page).to have_css("dialog[open] tbody tr")
    click_button "Close"
    asked = first(".next-problems .kid").text
    first(".next-problems button").click
    expect(page).to have_css("h1", text: asked.strip)
    expect(page).to have_css("[aria-current=true]", text: "Petra")
  end

  it "chooses numbers on the square for the next lesson, and finds those that invite making ten for some children",
     :deep do
    visit "/numbers/#{room.id}"
    expect_accessible
    find("a[aria-label='6 + 7 = 13: invites part–whole']").click
    expect(page).to have_css(".practice li", count: 1)
    find("label", text: "Petra").click
    find("label", text: "Quilla").click
    click_button "Lay over the square"
    expect(page).to have_css("a[aria-label*='most of them']", minimum: 20)
    expect(page).to have_checked_field("Petra", visible: :all)
    click_button "Numbers that invite making ten"
    expect(page).to have_css(".practice li", minimum: 2)
    expect_accessible
    shown = all(".practice li").map(&:text)
    click_button "Put into today’s lesson"
    expect(page).to have_css(".note", text: "put into today’s lesson")
    expect(page).to have_css(".parts", text: shown.first.sub(/ =.*/, ""))
    room.lesson_on(room.today).course.then { |course| course.take_out(course.parts.last) }
  end

  it "plans whom to hear for five days, and a child who is away keeps the turn", :deep do
    visit "/hear/#{room.id}"
    expect(page).to have_css(".hear-days thead th", count: 5)
    first_name = first(".hear-days tbody th").text
    cells = -> { first(".hear-days tbody tr", text: first_name).all("td") }
    turns = -> { cells.call.map { |cell| cell.has_css?(".mark", wait: 0) } }
    expect(turns.call.first).to be(true)
    first(".because summary").click
    expect(page).to have_css(".because p", text: first_name)
    within(first(".hear-days tfoot details")) do
      find("summary").click
      select first_name
      click_button "is away"
    end
    expect(page).to have_css("summary", text: "Away: #{first_name}")
    expect(turns.call.first(2)).to eq([false, true])
    expect_accessible
    DB[:absences].delete
  end

  it "makes groups, keeps a pair apart, follows a name that is dragged, and saves", :deep do
    visit "/groups/#{room.id}?operation=add&band=bridge"
    expect(page).to have_css(".group", minimum: 4)
    expect_accessible
    names = first(".group").all("[data-drag]").map(&:text)
    find("select[name=one]").select(names[0])
    find("select[name=other]").select(names[1])
    click_button "apart"
    expect(page).to have_css(".plain li", text: /#{names[0]}.*#{names[1]}|#{names[1]}.*#{names[0]}/)
    expect(all(".group").none? do |group|
      (names.first(2) - group.all("[data-drag]", minimum: 0).map(&:text)).empty?
    end).to be(true)
    moved = all(".group")[0].first("[data-drag]")
    name = moved.text
    moved.drag_to(find(".group-new"))
    expect(page).to have_css(".group:has([data-drag]:only-of-type)", text: name)
    click_button "Save for today’s lesson"
    expect(page).to have_css(".note", text: "The groups are saved")
    expect(room.lesson_on(room.today).groups.flatten.size).to eq(room.children_dataset.count)
    expect(page).to have_css("h2", text: "Groups")
    room.update(settings: Sequel.pg_jsonb({}))
    room.lesson_on(room.today).update(groups: nil)
  end

  it "looks back on a lesson, a week and a term in the order a teacher asks", :deep do
    visit "/back/#{room.id}"
    sometimes = ["What is known now", "Surprises"]
    expect(all(".back h2").map(&:text) - sometimes).to eq(["Who", "How", "What moved", "What slipped", "Who was missed",
                                                           "What next"])
    expect_accessible
    click_link "Earlier"
    expect(page).to have_link("Later")
    click_link "Week"
    expect(page).to have_css("h1", text: " to ")
    click_link "Term"
    expect(page).to have_css(".back", text: /\d+ answers to \d+ problems/)
    expect_accessible
  end

  it "drafts a note for a family, keeps what the teacher changed, and prints it", :deep do
    visit "/notes/#{room.id}/#{petra.id}"
    expect(find_field("Now").value).to include("Petra")
    expect_accessible
    fill_in "For example", with: "Petra showed 5 + 2 with lids."
    click_button "Save"
    expect(page).to have_css(".note", text: "Saved")
    expect(find_field("For example").value).to eq("Petra showed 5 + 2 with lids.")
    click_button "Draft it anew"
    expect(page).to have_no_field("For example", with: "Petra showed 5 + 2 with lids.")
  end
end

RSpec.describe "What the records say where there are few", type: :feature do
  { "an empty class" => [], "one child" => %w[Ada], "a class of 35" => Array.new(35) do |index|
    "Child #{index + 1}"
  end }.each do |kind, names|
    it "stands with #{kind}", :deep do
      teacher, room = make_teacher(children: names)
      enter(teacher)
      %W[/climb/#{room.id} /climb/#{room.id}?by=families /hear/#{room.id} /groups/#{room.id}?least=1
         /numbers/#{room.id} /back/#{room.id} /lesson/#{room.id} /find/#{room.id} /conduct/#{room.id}].each do |path|
        visit path
        expect(page).to have_css("h1")
        expect_accessible if names.empty? # others are as the demo’s are, which is looked at page by page
      end
      next if names.empty?

      visit "/climb/#{room.id}/children/#{room.children.first.id}"
      expect(page).to have_text("The line of time begins with the first answer heard here")
      visit "/notes/#{room.id}/#{room.children.first.id}"
      expect_accessible
    end
  end
end
