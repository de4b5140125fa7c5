# frozen_string_literal: true

require "app_helper"

RSpec.describe Records::ItemOnBoard do
  let(:teacher) { make_teacher(children: %w[Ada Bo]) }
  let(:room) { teacher[1] }
  let(:lesson) { room.start_lesson(room.today) }

  def plan(kind, options = {}) = lesson.course.plan(kind, details: { "options" => options, "seed" => 3 })
  def board(part, now: Time.now.to_f) = described_class.new(lesson.refresh.board, part.items, now: now)

  it "goes through every step of every item and back, and stays within them" do
    part = plan("twins")
    lesson.course.go(part)
    forward = []
    forward << [board(part).index, board(part).place]
    while (there = board(part).neighbour(1))
      lesson.change_board { |state, _| described_class.new(state, part.items).after("step", there.join(".")) }
      forward << there
    end
    expect(forward.size).to eq((part.items.size * 5) + 1)
    expect(forward.last(2)).to eq([[part.items.size - 1, 4], [part.items.size, 0]])
    lesson.change_board { |state, _| described_class.new(state, part.items).after("step", "99.99") }
    expect([board(part).index, board(part).place]).to eq(forward.last)
    expect(board(part).neighbour(-1)).to eq(forward[-2])
    expect(part.problems_dataset.select_order_map(:item)).to eq([*0...part.items.size])
  end

  it "is the same after the same press from two windows, and leaves alone what it does not know" do
    part = plan("twins")
    lesson.course.go(part)
    pressed = Array.new(2) do
      lesson.change_board do |state, _|
        described_class.new(state, part.items).after("step", "1.2")
      end
    end
    expect(pressed.map { |each| each.board.to_h.slice("item", "step") }.uniq).to eq([{ "item" => 1, "step" => 2 }])
    expect(board(part).after("strike", nil)).to eq(lesson.board)
  end

  it "waits, shows a quick look for its seconds, covers it, and never begins again while it runs" do
    part = plan("quick_look", "seconds" => 2)
    lesson.course.go(part)
    expect(lesson.board.to_h).to include("show" => "covered")
    state = board(part, now: 100.0).after("step", "0.1")
    at = ->(time) { described_class.new(state, part.items, now: time) }
    expect([at.call(101.9).covered?, at.call(102.1).covered?]).to eq([false, true])
    expect([at.call(100.2).window, at.call(101.0).window]).to eq([2, 1.0])
    expect(at.call(101.0).after("step", "0.1")).to eq(state)
    expect(at.call(103.0).after("step", "0.1").shown_at).to eq(103.0)
    expect(described_class.new(at.call(103.0).after("uncover", nil), part.items, now: 109.0))
      .to have_attributes(covered?: false, passing?: false)
  end

  it "keeps a story’s picture shown for its steps once it was asked for, and covers the next one’s" do
    part = plan("story_time")
    state = board(part).after("step", "0.0")
    at = ->(data) { described_class.new(data, part.items) }
    expect(at.call(state).covered?).to be(true)
    shown = at.call(state).after("uncover", nil)
    expect([at.call(shown).covered?, at.call(at.call(shown).after("step", "0.1")).covered?]).to eq([false, false])
    expect(at.call(at.call(shown).after("step", "0.0")).covered?).to be(false)
  end

  it "makes the same items again, with what was thrown in its place, and poses each once" do
    part = plan("toss", "n" => 5)
    lesson.course.go(part)
    before = part.items.item(1).to_h
    part.items.throw_in(0, "4")
    again = Records::LessonPart[part.id].items
    expect(again.item(0).data).to eq({ n: 5, first: 4, second: 1 })
    expect(again.item(1).to_h).to eq(before)
    expect(Array.new(2) { again.posed(0).id }.uniq.size).to eq(1)
    expect([again.posed(99), again.item(again.last).steps.first.lines.size]).to eq([nil, again.size])
    expect { again.throw_in(0, "6") }.to raise_error(Rungs::Error::NotAProblem)
  end

  it "keeps the facts that were due when the part began" do
    posed = pose(room, [9, 4])
    recorder = Records::Recorder.new(room, teacher[0])
    2.times do
      recorder.record(child: room.children.first, problem: posed, code: "make_ten", client_key: SecureRandom.uuid,
                      happened_at: Time.now)
    end
    part = plan("by_heart")
    lesson.course.go(part)
    expect(part.items.item(0).data).to eq({ fact: "9 + 4", due: "reasoned" })
    recorder.record(child: room.children.first, problem: posed, code: "known_fact", client_key: SecureRandom.uuid,
                    happened_at: Time.now)
    expect(Records::LessonPart[part.id].items.size).to eq(1)
  end

  it "tells who was asked: heard on its problem, or gave a way" do
    part = plan("twins")
    lesson.course.go(part)
    recorder = Records::Recorder.new(room, teacher[0])
    recorder.record(child: room.children[0], problem: part.items.posed(0), code: "count_on",
                    client_key: SecureRandom.uuid, happened_at: Time.now)
    sum = part.items.item(0).answer
    offered = part.items.offered
    offered.add(0, "#{sum - 1} + 1", child: room.children[1])
    expect([offered.asked(0), offered.asked(1)]).to eq([[room.children[0].name, room.children[1].name], []])
  end

  it "makes the same items of what was kept of a set as of the set itself, for every activity" do
    Rungs::Activity::ALL.each do |activity|
      drawn = activity.with.data(seed: 5)
      part = plan(activity.id)
      part.items.add(drawn)
      again = Records::LessonPart[part.id].items
      items = drawn.map { |data| activity.with.item(data) }
      expect(items.each_index.map { |index| again.item(index).to_h }).to eq(items.map(&:to_h))
    end
  end

  it "poses an item once, also where another window posed it just now" do
    part = plan("twins")
    items = part.items
    first = Records::LessonPart[part.id].items.posed(0)
    allow(items).to receive(:posed_there).and_return(nil, first)
    expect(items.posed(0).id).to eq(first.id)
    expect(part.problems_dataset.where(item: 0).count).to eq(1)
  end

  it "poses nothing for a part that was taken out just now" do
    part = plan("twins")
    items = part.items
    Records::LessonPart.where(id: part.id).delete
    expect([items.posed(0), items.offered.on_item(0), items.offered.asked(0)]).to eq([nil, [], []])
  end

  it "leaves the board going where the part is taken out" do
    part = plan("twins")
    lesson.course.go(part)
    part.delete
    expect(lesson.refresh.part_on_board).to be_nil
    expect(lesson.on_board).to be_nil
  end

  it "goes on with easier and harder numbers as a part of its own, and says where there are none" do
    lesson.course.go(plan("hidden_beads", "whole" => 10))
    sign_in(teacher[0])
    get "/conduct/#{room.id}"
    send_form "/conduct/#{room.id}/turn", to: "harder"
    course = room.lesson_on(room.today).course
    expect(course.parts.map { |part| part.items.kind.chosen["whole"] }).to eq([10, 20])
    expect(course.current.id).to eq(course.parts.last.id)
    send_form "/conduct/#{room.id}/turn", to: "harder"
    expect(last_response.status).to eq(422)
    expect(Rungs::Activity::ALL.fetch("two_cards").with.turn("easier")).to be_nil
  end

  it "conducts an activity that nothing else knows" do
    invented = Class.new(Rungs::Activity::Kind) do
      entry id: "pairs_of_shoes", title: "Pairs of shoes", minutes: 5, i_can: "I can count shoes.", finds: %w[tens]
      def draw(_random, count) = Array.new(count) { |index| { pairs: index + 1 } }

      def item(data)
        shoes = data[:pairs] * 2
        make(ask: "How many shoes?", answer: shoes, data: data, equation: nil,
             steps: [step("write", frame([shoes], size: 20), "#{shoes} shoes.", equation: "#{shoes} = #{shoes}")])
      end
    end
    stub_const("Rungs::Activity::ALL", Rungs::Activity::ALL.with(invented))
    part = plan("pairs_of_shoes")
    lesson.course.go(part)
    sign_in(teacher[0])
    get "/conduct/#{room.id}"
    expect(last_response.body).to include("Pairs of shoes", "2 shoes.", "The next one")
    get "/board/#{room.id}/lessons/#{lesson.id}/screen"
    expect(last_response.body).to include("2 = 2")
  end

  it "shows another class’s people nothing" do
    lesson.course.go(plan("twins"))
    sign_in(make_teacher[0])
    get "/conduct/#{room.id}"
    expect(last_response.status).to eq(404)
    get "/find/#{room.id}"
    expect(last_response.status).to eq(404)
  end
end
