# frozen_string_literal: true

require "journey_helper"

RSpec.describe "Quick looks", type: :feature do
  let(:teacher) { make_teacher(children: %w[Ada Bo]) }
  let(:room) { teacher[1] }

  def begin_set(arrangement, seconds)
    visit "/find/#{room.id}?activity=quick_look"
    select seconds.to_s, from: "seconds"
    select arrangement, from: "arranged"
    expect(page).to have_css("#take [name=arrangement][value='#{arrangement}']", visible: :hidden)
    click_button "Do it now"
    expect(page).to have_css(".tap-picture svg")
  end

  # Once the page can take it: a page that was just loaded may not yet.
  def tap(*orders) = orders.each { |order| find("#tap-picture[data-ready] [data-order='#{order}']").click }
  def look(time) = click_button(time.zero? ? "Show it" : "Look again")

  # A picture may be gone before a busy machine looks: the page notes which ones it showed.
  def note_pictures
    page.execute_script(<<~JS)
      window.shown = new Set();
      const note = () => document.querySelectorAll(".board-picture svg").forEach((svg) => shown.add(svg.ariaLabel));
      new MutationObserver(note).observe(document.body, { childList: true, subtree: true });
    JS
  end

  # @return [String] what each picture that was shown since the last time was of
  def shown
    expect(page).to have_css("body[data-last-flash]")
    expect(page).to have_css(".board-cover")
    page.evaluate_script("(() => { const all = [...shown].join(); shown.clear(); return all; })()")
  end

  def flash = Float(page.evaluate_script("(({ lastFlash }) => lastFlash)(document.body.dataset)"))
  def forget_flash = page.execute_script("delete document.body.dataset.lastFlash")

  before { enter(teacher[0]) }

  it "shows a picture on the board for its seconds, covers it, and shows it again" do
    begin_set("tones", 2)
    click_button "Open on another machine"
    code = find(".remote strong").text[/[A-Z]{6}/]
    expect(page).to have_css(".conduct", text: "Quick looks")
    using_session(:projector) do
      visit "/b/#{code}"
      expect(page).to have_css("h1", text: "How many?")
      expect(page).to have_no_css(".board-picture svg[aria-label*='in two tones']")
      note_pictures
    end
    2.times do |time|
      look(time)
      using_session(:projector) do
        expect(shown).to include("in two tones")
        expect(page).to have_no_css(".board-picture svg")
        expect_accessible if time.zero?
        forget_flash
      end
    end
  end

  # A machine that does other things may be late: the nearest of five tells what the board does.
  it "shows it for as long as was asked, to 50 milliseconds", :deep do
    code = room.start_lesson(room.today).open_code
    begin_set("ring", 1)
    using_session(:projector) do
      visit "/b/#{code}"
      note_pictures
    end
    lasted = Array.new(5) do |time|
      look(time)
      using_session(:projector) do
        expect(shown).to include("in a ring")
        flash.tap { forget_flash }
      end
    end
    expect(lasted.min_by { |each| (each - 1000).abs }).to be_within(50).of(1000)
  end

  it "catches how a child saw it: tapped groups write the expression, the same way again is a tally", :deep do
    begin_set("tones", 1)
    part = room.lesson_on(room.today).course.current
    numbers = (0...part.items.size).map { |index| part.items.item(index).answer }
    index = numbers.index { |each| each >= 4 }
    number = numbers[index]
    index.times do |time|
      click_button "Another"
      expect(page).to have_text("· #{time + 2} of #{numbers.size}")
    end
    expect(page).to have_css("#tap-picture [data-order]", count: number)
    tap 1, 2, 3
    click_button "Next group"
    tap(*4..number)
    expect(page).to have_css("#expression", text: "3 + #{number - 3} = #{number}")
    select "Ada", from: "by"
    click_button "Keep this way"
    expect(page).to have_css("figcaption", text: "3 + #{number - 3} = #{number} A")
    fill_in "or type", with: "3 + #{number - 3}"
    select "Bo", from: "by"
    click_button "Keep this way"
    expect(page).to have_css("figcaption", text: /×2\s+A B/)
    tap 1, 2
    click_button "Keep this way"
    expect(page).to have_css("[role=alert]", text: "in no group yet")
    fill_in "or type", with: "#{number} + 1"
    click_button "Keep this way"
    expect(page).to have_css("[role=alert]", text: "#{number} + 1 is #{number + 1}, and there are #{number}")
    expect_accessible
    click_button "Ways on the board"
    expect(page).to have_css("[value=ways][aria-pressed=true]")
    visit "/board/#{room.id}"
    expect(page).to have_css(".board-ways figcaption", text: "3 + #{number - 3} = #{number}", exact_text: true)
    visit "/conduct/#{room.id}"
    click_button "with initials"
    expect(page).to have_css("[value=initials][aria-pressed=true]")
    visit "/board/#{room.id}"
    expect(page).to have_css(".board-ways figcaption", text: "A B")
  end

  it "gives the board back when a problem is posed", :deep do
    begin_set("frame", 1)
    visit "/plan/#{room.id}"
    fill_in "equation", with: "2 + 3 = ?"
    click_button "Pose the equation"
    expect(page).to have_css("h1", text: "2 + 3 =")
    visit "/board/#{room.id}"
    expect(page).to have_css("h1", text: "2 + 3 =")
  end
end
