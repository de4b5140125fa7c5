# frozen_string_literal: true

require "app_helper"

RSpec.describe "Numbers that a teacher changes" do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:lesson) { room.start_lesson(room.today) }
  let!(:part) { lesson.course.plan("two_groups", details: { options: { "to" => 20 }, seed: 3, count: 4 }) }

  before do
    sign_in teacher[0]
    get path
  end

  def path = "/items/#{room.id}/#{part.id}"
  def now = Records::LessonPart[part.id]
  def sums = now.items.all_data.map { |data| data.values_at(:first, :second) }
  def ask(what, **more) = send_form(path, do: what, **more)

  it "are changed, added, put in order and taken out, and stay so whenever the part is read" do
    first = sums
    ask "change", item: 1, numbers: [9, 8]
    expect(last_response.headers["location"]).to end_with("#{path}#item-1")
    ask "add", numbers: [7, 7]
    expect(last_response.headers["location"]).to end_with(path)
    ask "earlier", item: 4
    ask "out", item: 0
    expect(sums).to eq([[9, 8], first[2], [7, 7], first[3]])
    ask "later", item: 0
    expect(sums).to eq([first[2], [9, 8], [7, 7], first[3]])
    ask "earlier", item: 0
    expect(sums.first).to eq(first[2])
    expect(now.details.by_hand).to eq([1, 2])
    get path
    expect(squeezed.scan("changed by you").size).to eq(2)
  end

  it "are refused in a sentence, with what was typed, and nothing changes" do
    before = sums
    ask "change", item: 2, numbers: [15, 9]
    expect(last_response.status).to eq(422)
    expect(squeezed).to include("Two groups together cannot hold 15 and 9 here: 20 together at most.", 'value="15"')
    [{ item: 2, numbers: [3] }, { item: 4, numbers: [3, 4] }, { item: 2, numbers: ["x", 2] }].each do |wrong|
      expect(ask("change", **wrong).status).to eq(422)
    end
    3.times { ask "out", item: 0 }
    expect([ask("out", item: 0).status, sums.size]).to eq([422, 1])
    expect(squeezed).to include("One item stays; take the part out instead.")
    expect(sums).to eq(before.last(1))
  end

  it "stay where the others are drawn anew, and none comes twice" do
    ask "change", item: 2, numbers: [10, 9]
    before = sums
    ask "anew", item: 0
    expect(sums[2]).to eq([10, 9])
    expect((sums - before).size).to be >= 1
    expect(sums.map(&:sort).uniq.size).to eq(4)
    Records::ItemsByHand.new(now).draw_anew(17)
    again = sums
    Records::ItemsByHand.new(now).draw_anew(17)
    expect(sums).to eq(again)
    [*1..20, 86, 194].each do |seed| # of the last two the same numbers come the other way round
      Records::ItemsByHand.new(now).draw_anew(seed)
      expect([sums[2], sums.map(&:sort).uniq.size]).to eq([[10, 9], 4])
    end
  end

  it "have room for sixty, and no more" do
    part.merge_details(count: 59, thrown: Array.new(59) do |at|
      [at, { first: at % 9, second: 1, thing: "shell" }]
    end.to_h)
    Records::ItemsByHand.new(now).add([2, 2])
    expect { Records::ItemsByHand.new(now).add([2, 3]) }.to raise_error(Rungs::Error::TooMany, /room for 60/)
  end

  it "take what was heard along to its new place, and leave it where the numbers are others" do
    posed = [0, 1, 2].map { |index| now.items.posed(index) }
    room.children.first(2).each do |child|
      Records::Recorder.new(room, teacher[0]).record(child: child, problem: posed[1], code: "count_on",
                                                     client_key: SecureRandom.uuid, happened_at: Time.now)
    end
    ask "later", item: 1
    expect(posed.map { |each| each.refresh.item }).to eq([0, 2, 1])
    ask "change", item: 2, numbers: [4, 4]
    expect(posed.map { |each| each.refresh.item }).to eq([0, nil, 1])
    ask "out", item: 0
    expect(posed.map { |each| each.refresh.item }).to eq([nil, nil, 0])
    expect(room.observations_dataset.standing.count).to eq(2)
    fresh = now.items.posed(1)
    expect([fresh.equation, posed.map(&:id)]).to match(["4 + 4 = □", satisfy { |ids| !ids.include?(fresh.id) }])
  end

  it "show on the board at once, in the lesson too" do
    lesson.course.go(now)
    lesson.refresh.show_item(now, 1)
    ask "change", item: 1, numbers: [6, 6]
    board = lesson.refresh.board
    expect([board.item, lesson.problem(board.problem).equation]).to eq([1, "6 + 6 = □"])
    ask "earlier", item: 1
    expect(lesson.refresh.board.item).to eq(0)
    ask "out", item: 0
    expect(lesson.refresh.board.item).to eq(0)
    lesson.show_item(now, now.items.size - 1)
    ask "out", item: now.items.size - 1
    expect(lesson.refresh.board.item).to eq(now.items.size - 1)
    get path
    expect(squeezed).to include("/conduct/#{room.id}")
  end

  it "leave the board to another part that is on it" do
    other = lesson.course.plan("twins", details: { options: {}, seed: 1, count: 3 })
    lesson.refresh.show_item(other, 1)
    before = lesson.refresh.board_version
    ask "out", item: 1
    expect([lesson.refresh.board.part, lesson.board.item, lesson.board_version]).to eq([other.id, 1, before])
  end

  it "are given to one more that is like the last with as many" do
    written = Rungs::Own.read("part", "title" => "Clap", "minutes" => "5", "picture" => "none", "lines" => "Clap!",
                                      "sentences" => "7 + 5 = ?\n2 + 3 + 4 = ?")
    own = lesson.course.plan("own_part", details: Records::Details.own(written))
    Records::ItemsByHand.new(own).add([8, 6])
    Records::ItemsByHand.new(Records::LessonPart[own.id]).add([1, 2, 3])
    expect(Records::LessonPart[own.id].items.all_data.last(2).map { |data| data[:equation] })
      .to eq(["8 + 6 = □", "1 + 2 + 3 = □"])
  end

  it "keep their ways where they have no problem" do
    looks = lesson.course.plan("quick_look", details: { options: {}, seed: 2, count: 3 })
    looks.items.offered.add(1, looks.items.item(1).answer.to_s)
    Records::ItemsByHand.new(Records::LessonPart[looks.id]).shift(1, 1)
    expect(DB[:ways].where(part_id: looks.id).select_map(:item)).to eq([2])
  end

  it "are kept when another week is proposed" do
    room.merge_settings("minutes" => "25")
    week = Records::Week.new(room, Rungs::SchoolDays.monday(room.today))
    Records::Proposal.new(week, room.today).fill
    changed = week.parts_on(room.today + 1).find { |each| each.items.kind.hand(each.items.all_data.first).any? }
    Records::ItemsByHand.new(changed).take_out(0) if changed.items.size > 1
    changed.merge_details(by_hand: [0])
    Records::Proposal.new(Records::Week.new(room, week.monday), room.today).propose_another
    expect(Records::LessonPart[changed.id].removed_at).to be_nil
  end
end
