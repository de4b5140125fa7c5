# frozen_string_literal: true

require "app_helper"

RSpec.describe Demo::School do
  let(:room) { described_class.account.classrooms.first }
  let(:past) { room.lessons_dataset.where(Sequel[:held_on] < Date.today).all }

  it "has used every activity over its eight weeks, each remade as it was, and every lesson to its end" do
    parts = past.flat_map { |lesson| lesson.course.parts }
    expect(parts.map(&:kind).uniq).to match_array(Rungs::Activity::ALL.ids)
    expect(parts.reject(&:begun?) + parts.select(&:left?)).to be_empty
    parts.each { |part| part.items.size.times { |index| expect(part.items.item(index).steps.size).to be > 1 } }
  end

  it "has a lesson ready for today, of four different parts, whatever was added to it since" do
    parts = room.lesson_on(Date.today).course.parts
    expect(parts.map(&:kind)).to include("quick_look", "hidden_beads", "story_time", "whose_way")
    expect(parts.map { |part| part.items.outline }).to include(/\A13 .*\?\z/)
  end

  it "names nobody and nothing that is real: twenty-two children, heard over eight weeks" do
    expect(room.children.size).to eq(22)
    expect(past.size).to be_between(28, 34)
    expect(room.observations_dataset.standing.count).to be > 500
    expect([room.name, room.school]).to eq(["Room 4", "Lantern Quay School"])
  end
end
