# frozen_string_literal: true

require "app_helper"

# What is planned of a week, moved and left over.
RSpec.describe Records::Week do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:ada) { room.children.first }

  it "a story for all has no sets of numbers; one with two has" do
    set = Struct.new(:level, :names)
    part = Struct.new(:fixed, :items, :sets, :options, :seed, :reason, :role, :range, :slip)
    proposal = Records::Proposal.new(described_class.new(room, Rungs::SchoolDays.monday(room.today)), room.today)
    kept = lambda do |sets|
      items = sets.map { |each| { number_set: each.level } }
      proposal.send(:details, part.new(true, items, sets, {}, 1, "why", :story, "to10", nil)).sets
    end
    expect(kept.call([set.new("middle", [ada])])).to eq({})
    expect(kept.call([set.new("easier", []), set.new("middle", [ada])])).to eq("easier" => [], "middle" => [ada.id])
    two = [set.new("easier", [room.children.last]), set.new("easier", [ada]), set.new("middle", [])]
    expect(kept.call(two)).to eq("easier" => [room.children.last.id, ada.id], "middle" => [])
  end

  describe "a week" do
    let(:monday) { room.today - (room.today.cwday - 1) }
    let(:week) { described_class.new(room, monday) }

    it "offers today too for what is new, the nearest calm day, never one that is past, off or the same" do
      room.start_lesson(monday + 4).course.plan("twins")
      expect(week.calmer_than(monday + 4, room.today)).to eq(monday + 3)
      room.start_lesson(monday + 3).course.plan("dice_mat")
      room.start_lesson(monday + 2).course.plan("match_up")
      calm = described_class.new(room, monday)
      expect(calm.calmer_than(monday + 4, room.today)).to eq(room.today)
      expect(calm.calmer_than(monday + 4, room.today + 1)).to be_nil
    end

    it "puts what the last lesson left first, once that lesson is over, and lets it go after eight days" do
      before = room.start_lesson(room.today - 1)
      before.course.plan("twins")
      room.start_lesson(room.today).course.plan("match_up")
      found = lambda {
        described_class.new(room, monday).left_over(room.today)&.then do |day, lesson|
          [day, lesson.held_on]
        end
      }
      expect(found.call).to eq([room.today, before.held_on])
      before.update(held_on: room.today - 8)
      expect(found.call).to be_nil
      before.update(held_on: room.today - 7)
      expect(found.call).to eq([room.today, room.today - 7])
      room.lesson_on(room.today).finish
      expect(found.call).to eq([room.today + 1, room.today])
      room.lesson_on(room.today).course.then { |course| course.go(course.parts.first) }
      room.lesson_on(room.today).finish
      room.start_lesson(room.today + 1).course.plan("two_cards")
      expect(found.call).to eq([room.today + 1, room.today])
    end

    it "moves a part to the end of another day, unless it has begun" do
      room.start_lesson(monday + 2).course.plan("match_up")
      part, begun = %w[twins two_cards].map { |kind| room.start_lesson(monday + 1).course.plan(kind) }
      room.lesson_on(monday + 1).course.go(begun)
      week.move_whole(monday + 1, monday + 2)
      kinds = described_class.new(room, monday).planned.transform_values { |parts| parts.map(&:kind) }
      expect([kinds[monday + 1], kinds[monday + 2]]).to eq([["two_cards"], %w[match_up twins]])
      expect(part.refresh.lesson_id).to eq(room.lesson_on(monday + 2).id)
    end
  end

  it "has met what was there up to a day, but for one part" do
    course = room.lesson_for(room.today + 1).course
    twins, = %w[twins toss].map { |kind| course.plan(kind) }
    met = lambda { |**more|
      Records::ActivityHistory.new(room, room.today).last_days(up_to: room.today + 1, **more).keys.map(&:last)
    }
    expect(met.call).to include("twins", "toss")
    expect(met.call(except: twins)).to include("toss").and(satisfy { |ids| !ids.include?("twins") })
    expect(Records::ActivityHistory.new(room, room.today).last_days(up_to: room.today)).to eq({})
  end

  it "offers on a day what the last lesson left, once it is over" do
    week = -> { described_class.new(Records::Classroom[room.id], room.today - (room.today.cwday - 1)) }
    before = room.lesson_for(room.today - 1)
    %w[twins toss].each { |kind| before.course.plan(kind) }
    expect(week.call.left_over(room.today)).to eq([room.today, before])
    today = room.lesson_for(room.today)
    today.course.plan("toss")
    today.course.go(today.course.parts.first)
    expect(week.call.left_over(room.today)&.last).to eq(before)
    room.mark_off([room.today])
    expect(week.call.left_over(room.today)).to be_nil
  end
end
