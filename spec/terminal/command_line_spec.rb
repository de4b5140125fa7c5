# frozen_string_literal: true

require "json"
require "open3"
require_relative "../../config/terminal"

RSpec.describe "bin/rungs" do
  def rungs(*arguments)
    out, err = StringIO.new, StringIO.new
    status = Terminal::Main.run(arguments, out: out, err: err)
    [out.string, err.string, status]
  end

  def json(*arguments) = JSON.parse(rungs(*arguments, "--json").first)

  it "tells the paths, slips and counts of 9 + 5" do
    path = json("paths", "9 + 5 = ?")["paths"].find { |each| each["move"] == "up_through_ten" }
    expect(path).to eq("rung" => "make_ten", "move" => "up_through_ten", "counts" => 0, "recalls" => 2,
                       "recalled" => %w[partner ten_and],
                       "splits" => 1, "turns" => 0, "work" => 2.5, "landings" => [9, 10, 14],
                       "equations" => ["9 + 5 = 9 + 1 + 4", "9 + 1 = 10", "10 + 4 = 14"],
                       "says" => "Nine and one is ten, and four more is fourteen.")
    expect(json("hear", "9 + 5 = ?",
                "9 10 11 12 13")["candidates"].first).to include("move" => "on_first", "slip" => "start_counted",
                                                                 "answer" => 13)
    expect(json("hear", "9+5=?", "14", "--seconds", "2")["candidates"].first).to include("rung" => "known_fact")
    slips = json("slips", "9 + 5 = ?", "15")
    expect(slips["slips"].map(&:keys)).to all(eq(%w[slip share why ask]))
    expect(slips["probe"]).to eq("problem" => "3 + 8 = □",
                                 "predicts" => { "one_over" => 12,
                                                 "kept_whole_addend" => 13 })
    expect(json("slips", "9 + 5 = ?", "13", "--rung",
                "count_on")).to include("probe" => nil, "slips" => [include("slip" => "start_counted", "share" => 1.0)])
  end

  it "tells what a problem invites and what to ask next" do
    expect(json("pull",
                "9 + 5 = ?")).to include("invites" => "make_ten",
                                         "pull" => include(
                                           "rung" => "make_ten", "work" => 1.5
                                         ))
    ask = %w[next --operation add --band bridge --working part_whole]
    expect(json(*ask)["next"].map { |each| each["equation"] }).to eq(["9 + 6 = □", "7 + 4 = □", "8 + 3 = □"])
    expect(json(*ask)["next"].first.keys).to eq(%w[equation aim move why])
    expect(json(*ask, "--last", "9 + 6 = ?, 4 + 9 = ?", "--count",
                "1")["next"].first).to include("equation" => "9 + 3 = □", "aim" => "make_ten")
    expect(json(*%w[next --operation add --band bridge --working make_ten])).to eq("next" => [])
    child = ["next", File.expand_path("../fixtures/records.csv", __dir__), "--on", "2026-11-20", "--child"]
    expect(json(*child, "Ada")["next"].map { |each| each.slice("aim", "move", "telling") })
      .to eq([{ "aim" => nil, "move" => nil, "telling" => true }] * 2)
    expect(json(*child, "Bo")["next"].map { |each| each.slice("aim", "telling") }).to eq([{ "aim" => "count_on" }] * 3)
  end

  it "speaks to people in titles, not in ids" do
    said = [%w[hear 9+5=? 9,10,11,12,13], %w[slips 9+5=? 15], %w[paths 9+5=?], %w[pull 9+5=?],
            %w[next --operation add --band bridge --working part_whole]]
    expect(said.map { |arguments| rungs(*arguments).first }.join).not_to match(/[a-z]_[a-z]/)
  end

  it "writes problems, strings and looks that a seed repeats" do
    ask = %w[problems --situation take_from.change --band bridge --count 12 --seed 7]
    problems = json(*ask)["problems"]
    expect(problems.size).to eq(12)
    expect(problems.first.keys).to eq(%w[story equation whole parts unknown answer])
    expect(json(*ask)["problems"]).to eq(problems)
    expect(json(*ask, "--family", "nine", "--count", "5")["problems"].map { |each| each["parts"] }).to all(include(9))
    expect(json("string", "--move", "up_through_ten", "--seed",
                "3")["string"]).to include("move" => "up_through_ten", "problems" => have_attributes(size: 4))
    expect(json("looks", "--to", "10", "--seed", "3")["looks"].size).to eq(8)
  end

  it "makes a set of any activity, and draws its steps" do
    all = json("activities")["activities"]
    expect(all.map { |each| each["id"] }).to eq(Rungs::Activity::ALL.ids)
    expect(all.first["options"].first).to eq("id" => "to", "label" => "To", "choices" => [10, 5, 20, 30],
                                             "default" => 10)
    toss = json("activity", "toss", "--option", "n=4", "--seed", "3", "--count", "2")
    expect(toss.keys).to eq(%w[activity items chances expected])
    expect(toss["activity"].keys).to eq(%w[id title i_can minutes materials cautions listen_for slips])
    expect(toss["items"].first.keys).to eq(%w[ask answer equation data steps])
    expect(toss["items"].first["steps"].first.keys).to eq(%w[name title words tell equation alt])
    expect(json("activity", "dice_mat").keys).to eq(%w[activity items mat chances expected])
    expect(rungs("activity", "twins", "--step", "2", "--item", "1").first).to start_with("<svg")
    expect(rungs("activity", "twins").first).to include("the same again")
  end

  it "draws every picture as SVG, and prints text for people" do
    { "frame" => %w[7 --fill pairs], "rack" => %w[6 --card], "line" => %w[9 10 14], "parts" => %w[9 5],
      "dots" => %w[7 --arrangement ring], "towers" => %w[6 4], "fingers" => %w[7], "scale" => %w[12 7 5],
      "bundles" => %w[34], "objects" => %w[5 --thing kites], "bars" => %w[5 4 --compare] }.each do |kind, arguments|
      out, err, status = rungs("picture", kind, *arguments)
      expect([kind, out.start_with?("<svg"), out.include?("aria-label"), err, status]).to eq([kind, true, true, "", 0])
    end
    expect(rungs("paths", "9 + 5 = ?").first).to include("Nine and one is ten")
    expect(rungs("slips", "9+5=?", "14").first).to include("it is right")
    expect(rungs("--help")[0]).to include('bin/rungs hear "9 + 5 = ?"')
    expect(rungs.last).to eq(0)
  end

  it "is a program of its own, on the core alone" do
    program = File.expand_path("../../bin/rungs", __dir__)
    out, err, status = Open3.capture3({ "DATABASE_URL" => nil, "BUNDLE_GEMFILE" => nil, "RUBYOPT" => nil }, program,
                                      "paths", "9 + 5 = ?")
    expect([out.lines.size, err, status.exitstatus]).to eq([7, "", 0])
    expect(Open3.capture3({ "RUBYOPT" => nil }, program, "fly").then do |_, said, ended|
      [said.lines.size, ended.exitstatus]
    end).to eq([1, 2])
  end

  it "says what is wrong in one line, with status 2" do
    [%w[fly], %w[paths], ["paths", "9 + 5"], ["paths", "5 - 9 = ?"], ["paths", "9+5=?", "more"],
     ["slips", "9+5=?", "x"], ["slips", "9+5=?", "13", "--rung", "fly"], ["hear", "9+5=?", ""], ["hear", "9+5=?", "9",
                                                                                                 "--seconds", "soon"],
     %w[problems --band to7], %w[problems --band to5 --count 30], %w[problems --count 0], %w[string],
     %w[string --move recall], %w[looks --to 99], %w[looks --count 0], %w[activity], %w[activity fly],
     %w[activity toss --count 0], %w[activity toss --option n], %w[activity toss --option n=99],
     %w[activity twins --count 99], %w[activity twins --step 9],
     %w[activity toss --count -1], %w[picture cube 4], %w[picture frame 99],
     %w[picture frame 7 --fill sideways], %w[picture frame 7 --heap yes], %w[picture parts 9 5 --hidden 7],
     %w[picture objects 999999999], ["paths", "\xFF"], %w[paths --colour]].each do |arguments|
      out, err, status = rungs(*arguments)
      expect([arguments, out, status]).to eq([arguments, "", 2])
      expect(err).to match(%r{\Abin/rungs: .+\n\z})
    end
  end
end
