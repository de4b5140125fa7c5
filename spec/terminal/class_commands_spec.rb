# frozen_string_literal: true

require "json"
require "tempfile"
require_relative "../../config/terminal"

RSpec.describe "bin/rungs with a file of records" do
  def run(*arguments)
    out, err = StringIO.new, StringIO.new
    status = Terminal::Main.run(arguments, out: out, err: err)
    [out.string, err.string, status]
  end

  def file(*rows, header: "child,date,equation,rung,move,answer,help,seconds")
    Tempfile.create("records").tap { |made| made.write([header, *rows].join("\n")) && made.close }.path
  end

  def told(*arguments) = JSON.parse(run(*arguments, "--json").first)

  let(:records) do
    file("Bo,2026-11-09,9 + 4 = ?,count_all,,12,shown,", "Ada,2026-11-02,9 + 5 = ?,count_on,on_first,14,alone,8",
         "Ada,2026-11-05,8 + 7 = ?,2,,14,,",
         "Ada,2026-11-09,9 + 4 = ?,make_ten,up_through_ten,13,alone,4", "Bo,2026-11-12,13 - 4 = " \
                                                                        "?,guess,,,,", "Ada,2026-12-12,13 - 4 = " \
                                                                                       "?,2,,9,,")
  end

  it "says where each child is, as the core says it, up to the day and in the order of the file" do
    rows = told("progress", records, "--on", "2026-11-20")["progress"]
    expect(rows.map do |row|
      row.values_at("child", "operation", "band",
                    "records")
    end).to eq([["Ada", "add", "bridge", 3], ["Bo", "add", "bridge", 1], ["Bo", "subtract", "bridge", 0]])
    core = [["2026-11-02", 2, "9 + 5 = ?"], ["2026-11-05", 2, "8 + 7 = ?"], ["2026-11-09", 4, "9 + 4 = ?"]]
    core = core.map do |day, rung, text|
      Rungs::Progress::Record.on(problem(text), day: Date.iso8601(day), rung: rung, right: true, help: "alone")
    end
    told = Rungs::Progress::Estimate.of(core, on: Date.iso8601("2026-11-20"),
                                              scope: Rungs::Progress::Scope.of("add", "bridge"))
    expect(rows[0]["probabilities"]).to eq(told.filter.probabilities)
    expect(rows[0].values_at("confidence", "secure", "known"))
      .to eq([told.confidence, false, { "heard" => 3, "known" => 0 }])
    expect(rows[0].values_at("working", "works_out")).to eq([told.works_out && "count_on"] * 2)
    expect(rows[1].values_at("working", "emerging")).to eq([nil, nil])
    expect(rows[1]["reason"]).to eq("1 answer: count all, 11 days ago; one more and a rung stands here.")
  end

  it "plans whom to listen to, respecting who is away" do
    days = told("listen", records, "--on", "2026-11-20", "--days", "2", "--places", "1", "--absent",
                "Ada:2026-11-20")["listen"]
    expect(days.map do |day|
      [day["date"], day["turns"].map do |turn|
        turn["child"]
      end]
    end).to eq([["2026-11-20", ["Bo"]], ["2026-11-23", ["Ada"]]])
  end

  it "groups, with sizes and pairs apart" do
    shape = told("groups", records, "--on", "2026-11-20", "--operation", "add", "--band", "bridge", "--sizes", "1-2",
                 "--apart", "Ada:Bo")
    expect(shape["groups"].map { |group| group["children"] }).to contain_exactly(["Ada"], ["Bo"])
    expect(shape["distance"]).to eq(0.0)
  end

  it "prints lines for people" do
    expect(run("progress", records, "--on", "2026-11-20")[0]).to match(/^Ada +add +bridge/)
    expect(run("listen", records, "--on", "2026-11-20")[0]).to include("  Ada has not been heard for 9 school days")
    expect(run("groups", records, "--on", "2026-11-20", "--sizes", "1-2")[0]).to include("A check-in each")
  end

  it "names the line and what is off in it" do
    fine = "Ada,2026-11-02,9 + 5 = ?,2,,,,"
    {
      ["Ada,2026-11-02,9 + x = ?,2,,,,"] => /line 2: /,
      ["Ada,2026-13-02,9 + 5 = ?,2,,,,"] => /line 2: “2026-13-02” is not a date/,
      ["Ada,2026-11-02,9 + 5 = ?,9,,,,"] => /line 2: there is no/,
      [fine, "Bo,2026-11-02,9 + 5 = ?,2,,,carried,"] => /line 3: there is no help “carried”/,
      [",2026-11-02,9 + 5 = ?,2,,,,"] => /line 2: the child has no name/,
      ["Ada,2026-11-02,9 + 5 = ?,2,fly,,,"] => /line 2: there is no move/,
      ["Ada,2026-11-02,9 + 5 = ?,2,,many,,"] => /line 2: “many” is no number/
    }.each do |rows, message|
      _, err, status = run("progress", file(*rows), "--on", "2026-11-20")
      expect([err, status]).to match([message, 2])
      expect(err.lines.size).to eq(1)
    end
  end

  it "proposes a week with its reasons, whom to hear and what to bring, the same again" do
    week = told("week", records, "--from", "2026-11-23", "--days", "3", "--minutes", "20")
    expect(week).to include("aim" => { "operation" => "add", "range" => "bridge", "rung" => "count_on" },
                            "i_can" => include("I can"), "edges" => { "Ada" => "bridge" })
    expect(week["days"].map { |day| day["date"] }).to eq(%w[2026-11-23 2026-11-24 2026-11-25])
    expect(week["days"].map { |day| day["minutes"] }).to all(be_between(17, 23))
    expect(week["check"]).to include("needed" => 2, "present" => 2, "days" => %w[2026-11-24 2026-11-25])
    said = %w[role activity title options seed count minutes new what reason sets]
    expect(week["days"].flat_map { |day| day["parts"] }.map(&:keys).uniq).to eq([said])
    expect(week["days"].first["hear"].map { |turn| turn["child"] }).to match_array(%w[Ada Bo])
    expect(week["bring"]).to all(include("thing", "in_all"))
    expect(told("week", records, "--from", "2026-11-23", "--days", "3", "--minutes", "20")).to eq(week)
    expect(run("week", records, "--from", "2026-11-23").first).to include("min", "hear")
    focus = lambda do |*more|
      told("week", records, "--from", "2026-11-23", *more)["days"].first["parts"].find do |part|
        part["role"] == "focus"
      end
    end
    first = focus.call["activity"]
    days = %w[18 19 20].map { |day| "#{first}:2026-11-#{day}" }.join(",")
    expect(focus.call("--done", days)["activity"]).not_to eq(first)
    { %w[--done twins] => /what was done is written as/, %w[--done twins:2026-11-40] => /no day/,
      %w[--done hopping:2026-11-20] => /no activity/ }.each do |more, words|
      expect(run("week", records, "--from", "2026-11-23", *more)[1, 2]).to match([words, 2])
    end
    { %w[--days 99] => /days is a number/, %w[--minutes 2] => /minutes is a number/ }.each do |more, words|
      expect(run("week", records, "--from", "2026-11-23", *more)[1, 2]).to match([words, 2])
    end
    expect(run("week", records)[1, 2]).to match([/--from/, 2])
  end

  it "says what is likely to be heard on a problem, of those who were heard enough" do
    more = file("Ada,2026-11-02,9 + 5 = ?,count_on,,,,", "Ada,2026-11-05,8 + 7 = ?,2,,14,,",
                "Ada,2026-11-05,8 + 5 = ?,5,,13,,", "Bo,2026-11-09,9 + 4 = ?,count_all,,12,shown,")
    given = told("forecast", more, "--equation", "8 + 5", "--on", "2026-11-20")
    expect(given["children"].first["chances"]["known_fact"]).to eq(0.9)
    enough, few = given["children"].partition { |child| child["enough"] }
    expect(enough.map { |child| child["chances"].values.sum.round(9) }.uniq).to eq([1.0])
    expect(few.map { |child| child["chances"] }.uniq - [nil]).to eq([])
    expect(given["class"].values.sum).to be_within(1e-9).of(enough.size)
    expect(run("forecast", records, "--equation", "8 + 5", "--on", "2026-11-20").first).to include("count_on")
    expect(run("forecast", records, "--on", "2026-11-20")[1, 2]).to match([/--equation/, 2])
  end

  it "refuses what it cannot read or does not know" do
    { ["progress", records] => /--on/, ["progress", "/nowhere.csv", "--on", "2026-11-20"] => /cannot be read/,
      ["progress", records, "--on", "soon"] => /not a date/,
      ["progress", file("Ada,2026-11-02", header: "child,date"), "--on",
       "2026-11-20"] => /column is missing: equation, rung/, ["listen", records, "--on", "2026-11-20", "--absent",
                                                              "Zed:2026-11-20"] => /no child “Zed”/,
      ["groups", records, "--on", "2026-11-20", "--sizes", "many"] => /sizes/, ["groups", records, "--on",
                                                                                "2026-11-20", "--sizes",
                                                                                "5"] => /do not go into groups/,
      ["listen", records, "--on",
       "2026-11-20", "--band",
       "to7"] => /no band/,
      ["progress", file("\"Ada,2026-11-02"), "--on", "2026-11-20"] => /CSV/ }.each do |arguments, message|
      _, err, status = run(*arguments)
      expect([err, status]).to match([message, 2])
    end
  end
end
