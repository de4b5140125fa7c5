# frozen_string_literal: true

require "app_helper"

# Each choice on which teachers differ, where it acts (guide 12).
RSpec.describe Rungs::Planning::Setting do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:lesson) { room.start_lesson(room.today) }

  before { sign_in teacher[0] }

  def choose(**settings) = room.refresh.merge_settings(settings.transform_keys(&:to_s))

  def item(kind, **options)
    part = room.refresh.start_lesson(room.today).course.plan(kind, details: { "options" => options, "seed" => 3 })
    part.items.item(0)
  end

  def begin_with(numbers)
    pose(room.refresh, numbers).tap { |posed| posed.lesson.put_on_board(posed) }
  end

  it "fills frames by pairs, on the board and for what is drawn on it" do
    choose(fill: "pairs")
    counters = item("some_leave", acted: "frame").steps.first.layout.counters
    expect(counters.first(2).map { |each| [each.x, each.y] }).to eq([[0, 0], [0, 1]])
    board = begin_with([7, 2]).lesson.tap { |posed| posed.command("draw", "frame 0") }.on_board
    expect(board.layout.counters.first(2).map(&:y)).to eq([0, 1])
  end

  it "puts the whole at the left of its parts" do
    choose(whole: "left")
    layout = item("hidden_beads").steps.last.layout
    whole, first, = layout.marks.select { |mark| mark.shape == :node }
    expect(whole.x).to be < first.x
  end

  it "says minus, aloud and in what is asked" do
    choose(minus: "minus")
    expect(item("some_leave").steps.last.aloud).to include(" minus ")
    expect(get("/climb/#{room.id}?operation=subtract").body).to include("<h1>Subtracting</h1>")
  end

  it "hints at the larger number to count on from" do
    begin_with([3, 8])
    expect(get("/listen/#{room.id}").body).not_to include("Hint:")
    choose(start: "larger")
    expect(get("/listen/#{room.id}").body).to include("count on from the larger, 8")
    begin_with([8, 3])
    expect(get("/listen/#{room.id}").body).not_to include("Hint:")
  end

  it "does not hint at fingers" do
    begin_with([3, 4])
    expect(get("/board/#{room.id}").body).to include('data-value="fingers 0"')
    choose(fingers: "quiet")
    expect(get("/board/#{room.id}").body).not_to include('data-value="fingers')
    looks = Rungs::Activity::ALL.fetch("quick_look").with({}, room.activity_settings).data(seed: 2, count: 60)
    expect(looks.map { |look| look[:arrangement] }).not_to include("fingers")
  end

  it "asks for facts by heart each week until they are planned" do
    expect(get("/lesson/#{room.id}").body).not_to include("have not been heard this week")
    choose(facts: "weekly")
    expect(get("/lesson/#{room.id}").body).to include("have not been heard this week")
    send_form "/find/#{room.id}", activity: "by_heart"
    expect(get("/lesson/#{room.id}").body).not_to include("have not been heard this week")
  end

  it "writes dates and words as the region and the class do" do
    begin_with([3, 4])
    day = room.today
    expect(get("/board/#{room.id}").body).to include("Number sentence", "Ten frame")
    expect(get("/climb/#{room.id}").body).to include(day.strftime("%A %-d %B"))
    choose(region: "en-US", sentence: "equation", frame: "tens_frame")
    expect(get("/board/#{room.id}").body).to include("</kbd> Equation", "Tens frame")
    expect(get("/climb/#{room.id}").body).to include(day.strftime("%A, %B %-d"))
    expect(I18n.locale.to_s).to eq("en-US")
    expect([get("/account").status, I18n.locale]).to eq([200, :en])
  end
end
