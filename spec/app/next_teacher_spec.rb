# frozen_string_literal: true

require "app_helper"

# What the pages for the next teacher tell, from what was heard.
RSpec.describe Printing::ForNextTeacher do
  let(:teacher) { make_teacher(children: %w[Ada Bo Cleo]) }
  let(:room) { teacher[1] }
  let(:children) { room.children.to_h { |child| [child.name, child] } }

  def hear(name, parts, code, back: 0, situation: "add_to.result", used: [], **more)
    at = Time.now - (back * 86_400) - 60
    posed = pose(room, parts, situation: situation, day: room.today(at), at: at)
    recorder = Records::Recorder.new(room, teacher[0])
    heard = recorder.record(child: children[name], problem: posed, code: code, happened_at: at,
                            client_key: SecureRandom.uuid, **more)
    return if used.empty?

    recorder.correct(heard.first_key, client_key: SecureRandom.uuid, used: used)
  end

  # By title of a page, its parts.
  def pages
    told = nil
    allow(Sheets::NextTeacher).to receive(:new) { |each:, **| told = each }
    described_class.new(room, today: room.today).sheet("a4")
    told.to_h { |page| [page.title, page.parts] }
  end

  it "counts how many children are in each range, and only there" do
    [[4, 3], [5, 2]].each_with_index { |parts, back| hear("Ada", parts, "count_on", back: back + 1) }
    [[9, 4], [8, 5], [7, 6]].each_with_index do |parts, back|
      hear("Bo", parts, "make_ten", back: back + 1)
      hear("Cleo", parts, "make_ten", back: back + 1)
    end
    where = pages.values.first["Where the class is"]
    expect(where.size).to eq(1)
    expect(where.first).to match(/\AAdding: to 10 for 1, through ten for 2\. Together next: “I can .*”\z/)
  end

  it "says whom nobody has heard, and whose numbers are far from the others'" do
    [[4, 3], [5, 2]].each_with_index { |parts, back| hear("Ada", parts, "count_on", back: back + 1) }
    expect(pages.values.first["On the first day"].join(" ")).to include("A check-in each, five minutes: Bo, Cleo.")
    2.times { |back| %w[Bo Cleo].each { |name| hear(name, [4, 3 - back], "count_on", back: back + 1) } }
    expect(pages.values.first["On the first day"].join(" ")).not_to include("A check-in each")
  end

  it "names whose numbers are two ranges or more from the class's, and nobody else" do
    3.times { |back| %w[Bo Cleo].each { |name| hear(name, [9, 4 + back], "make_ten", back: back + 1) } }
    expect(pages.values.first["On the first day"].join(" ")).not_to include("Other numbers")
    3.times { |back| hear("Ada", [2, 1 + (back % 2)], "count_all", back: back + 1) }
    expect(pages.values.first["On the first day"]).to include("Other numbers for Ada: their pages say which.")
  end

  it "tells a slip that came twice with how often, none that came once, and asks the teacher's own question" do
    2.times { |back| hear("Ada", [9, 5 - back], "count_on", back: back + 1, answer: 13 - back) }
    hear("Bo", [9, 5], "count_on", back: 1, answer: 13)
    Records::Own.store(room, Rungs::Own.read("question", "slip" => "whole.start_counted", "words" => "Where from?"))
    told = pages
    expect(told["Ada"]["To look out for"].first).to match(/\A.+ \(2 times\)\. Ask: “Where from\?”\z/)
    expect(told["Bo"]["To look out for"]).to eq([])
  end

  it "tells what helped from three right answers on, the commonest first, and never nothing" do
    3.times { |back| hear("Ada", [9, 5 - back], "count_on", back: back + 1, used: %w[fingers]) }
    4.times { |back| hear("Ada", [8, 5 - back], "make_ten", back: back + 1, used: %w[frame nothing]) }
    2.times { |back| hear("Ada", [7, 5 - back], "make_ten", back: back + 1, used: %w[rack]) }
    3.times { |back| hear("Ada", [6, 5 - back], "count_all", back: back + 1, used: %w[objects]) }
    expect(pages["Ada"]["To look out for"]).to eq(["Frame, 4 times. Fingers, 3 times."])
    expect(pages["Bo"]["To look out for"]).to eq([])
  end

  it "tells the facts that are known, and none where there are none" do
    3.times { |back| hear("Ada", [5, 4], "known_fact", back: (back * 4) + 1) }
    hear("Bo", [5, 4], "count_on", back: 2)
    expect(pages["Ada"]["Adding"].first).to end_with("At once: 4 + 5.")
    expect(pages["Bo"]["Adding"].first).not_to include("At once")
  end

  it "is a line of summary and three paragraphs at most, in the words of a child's page" do
    4.times { |back| hear("Ada", [6, 3 - (back % 2)], "count_on", back: back + 1, used: %w[fingers]) }
    2.times { |back| hear("Ada", [9, 4 + back], "make_ten", situation: "take_from.result", back: back + 1) }
    told = pages["Ada"]
    expect(told["In short"]).to eq(["Adding, to 10: Ada works out mostly by counting on."])
    expect([told.size, told.values.map(&:size)]).to match([be <= 4, all(be <= 1)])
  end

  it "looks back twelve weeks and no further" do
    hear("Ada", [9, 5], "count_on", back: 84)
    expect(pages["Ada"]["In short"].first).to start_with("Nothing was heard in the last twelve weeks")
    hear("Ada", [9, 4], "count_on", back: 83)
    expect(pages["Ada"]["In short"].first).to eq("Adding, through ten: Ada was not heard enough.")
  end
end
