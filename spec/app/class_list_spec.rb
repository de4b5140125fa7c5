# frozen_string_literal: true

require "app_helper"

RSpec.describe Exchange::ClassList do
  def names(text, **more) = described_class.new(text, **more).names
  def states(text, **more) = described_class.new(text, **more).lines.map(&:state)

  it "takes the same first names however the list is written" do
    {
      "one a line" => "Ada\nBo\n\nCleo\n", "numbered" => "1. Ada\n2) Bo\n3 Cleo", "bulleted" => "- Ada\n• Bo\n* Cleo",
      "surname, first" => "Lane, Ada\nHill, Bo\nVan der Berg, Cleo",
      "surname, first, numbered" => "1. Lane, Ada\n2. Hill, Bo\n3. Moor, Cleo",
      "quoted cells" => %("Lane, Ada"\n"Hill, Bo"\n"Moor, Cleo"), "tabs" => "Ada\tLane\nBo\tHill\nCleo\tMoor",
      "a header, commas" => "Surname,First name,Year\nLane,Ada,1\nHill,Bo,1\nMoor,Cleo,1",
      "a header, semicolons" => "First name;Last name\nAda;Lane\nBo;Hill\nCleo;Moor",
      "a header, semicolons, surnames first" => "House;Name\nA;Lane, Ada\nB;Hill, Bo\nA;Moor, Cleo",
      "a header, tabs, surnames first" => "House\tName\nA\tLane, Ada\nB\tHill, Bo\nA\tMoor, Cleo",
      "a header and quotes" => %("No","Pupil","House"\n"1","Lane, Ada","A"\n"2","Hill, Bo","B"\n"3","Moor, Cleo","A"),
      "a header alone in its column" => "Name\nAda\nBo\nCleo", "windows lines" => "\uFEFFAda\r\nBo\r\nCleo\r\n",
      "spaces" => "  Ada  \n Bo\nCleo   "
    }.each { |how, text| expect([how, names(text)]).to eq([how, %w[Ada Bo Cleo]]) }
  end

  it "tells two of one name apart by their surnames, and says what is twice" do
    expect(names("Lane, Ada\nHill, Ada\nMoor, Bo")).to eq(["Ada L.", "Ada H.", "Bo"])
    expect(states("Ada\nBo\nada")).to eq(%i[new new double])
  end

  it "adds nobody who is there, and brings back who was off the list" do
    list = described_class.new("Ada\nBo\nCleo", there: ["ada"], off: ["Bo"])
    expect(list.lines.map(&:state)).to eq(%i[there back new])
    expect(list.names).to eq(%w[Bo Cleo])
  end

  it "names every line that it cannot read, with its number" do
    list = described_class.new("Ada\n---\n#{'x' * 41}\n12\nBo")
    unread = list.lines.select { |line| line.state == :unread }
    expect(unread.map(&:number)).to eq([2, 3, 4])
    expect(unread.map(&:note)).to eq(["no name in it", "longer than 40 characters", "no name in it"])
    expect(list.names).to eq(%w[Ada Bo])
  end

  it "takes any mix of separators on a line, and drops nothing without a word" do
    { "Ada, Bo; Cleo\tDag" => %w[Ada Bo Cleo Dag], "Ada, Bo, Cleo\nDag, Eda" => %w[Ada Bo Cleo Dag Eda],
      "Lane, Ada; Hill, Bo\tMoor, Cleo" => %w[Ada Bo Cleo], "Lane, Ada\nBo;Hill\nCleo\tMoor" => %w[Ada Bo Cleo],
      "1\tLane, Ada;\n2; Hill, Bo\n\t3;Moor, Cleo" => %w[Ada Bo Cleo],
      "Name;House\nAda\tblue\nBo;red" => %w[Ada Bo], "Ada\rBo\r\nCleo\u2028Dag" => %w[Ada Bo Cleo Dag] }
      .each { |text, wanted| expect([text, names(text)]).to eq([text, wanted]) }
    three = described_class.new("Lane; Ada; Marie\nHill; Bo; Jo").lines
    expect(three.map do |line|
      [line.name, line.note]
    end).to eq([["Lane", "left out: “Marie”"], ["Hill", "left out: “Jo”"]])
  end

  it "leaves out what looks like a date, a sex, an address or a number, and says so" do
    list = described_class.new("Lane, Ada; 12.03.2019; f\nHill, Bo\t5 Quay Street, m\nMoor, Cleo; 1B\n2019-03-12\n" \
                               "Dag; dag@harbour.example; +44 20 7946 0000")
    expect(list.lines.map { |line| [line.name, line.note] }).to eq(
      [["Ada", "left out: a date, a sex"], ["Bo", "left out: an address, a sex"], ["Cleo", "left out: a number"],
       [nil, "no name in it; left out: a date"], ["Dag", "left out: an address"]]
    )
    list = described_class.new("First name;Surname;Born;Year\nAda;Lane;1.2.2020;1\n3.4.2019;Bo;;")
    expect([list.left_out, list.lines.map { |line| [line.name, line.note] }])
      .to eq([%w[Born Year], [["Ada", nil], [nil, "no name in it; left out: a date"]]])
  end

  it "removes marks that are not seen, and keeps those that names of some languages need" do
    expect(names("\u202EAda\u202C\n\u0007Bo\u200F\nA\u200Bda\u200D")).to eq(["Ada", "Bo", "A\u200Bda\u200D"])
    expect(described_class.clean(" \u2066Ada\u2069  Lane ")).to eq("Ada Lane")
  end

  it "takes names of forty letters, and a first line with a number in it for no header" do
    expect(names("#{'a' * 40}\n#{'b' * 41}")).to eq(["a" * 40])
    expect(names("Name 1\nAda")).to eq(["Ada"])
    expect(described_class.new("Name;Class 2\nAda;x").lines.map(&:number)).to eq([1, 2])
  end

  it "refuses more lines than any class has, before it looks at them" do
    expect { described_class.new("Ada\n" * 201) }.to raise_error(Rungs::Error::TooMany, /201 lines/)
    expect(described_class.new("Ada\n" * 200).lines.size).to eq(200)
  end

  describe "as it is shown before anybody is added" do
    let(:teacher) { make_teacher }
    let(:room) { teacher[1] }

    def preview(text)
      sign_in teacher[0]
      get "/account/classes/#{room.id}"
      send_form "/account/classes/#{room.id}/list", list: text
      last_response
    end

    it "answers an empty list, says at most how many are added at once, and refuses what is no class" do
      ["", "  \n;;\n"].each { |text| expect(preview(text).body).to include("There is no name in it", "Nobody to add") }
      many = (1..45).map { |number| "Kim#{('a'.ord + (number % 26)).chr}#{'x' * (number / 26)}" }.join("\n")
      expect(squeezed(preview(many))).to include("To be added: 40", "At most 40 are added at once", "for the other 5")
      long = preview("Ada\n" * 3300)
      expect([long.status, long.body]).to match([422, include("That list has 3300 lines")])
      header = preview("Name,House\nZoe,blue,m\nAda,red").body
      expect(header).to include("Left out: House", "nobody: on the list already")
    end

    it "keeps names without marks that are not seen, added or changed" do
      preview("Zoe")
      send_form "/account/classes/#{room.id}/children", names: "\u202EZoe\u202C"
      child = room.children_dataset.first(name: "Zoe")
      send_form "/account/classes/#{room.id}/children/#{child.id}", name: "Zo\u0007e  Lane\u2069"
      expect(child.refresh.name).to eq("Zoe Lane")
    end
  end

  it "takes any text without falling over" do
    random = Random.new(5)
    signs = ["a", "B", "é", ",", ";", "\t", '"', "\n", " ", "1", ".", "Ω", "'", "\\"]
    200.times { expect(states(Array.new(60) { signs.sample(random: random) }.join)).to be_an(Array) }
    expect(states("")).to eq([])
  end

  it "reads a users file of the open roster standard: children only, names only" do
    text = "sourcedId,status,dateLastModified,enabledUser,orgSourcedIds,role,username,givenName,familyName,email\n" \
           "u1,active,2026-08-01,true,o1,student,ada1,Ada,Lane,ada@example.org\n" \
           "u2,active,2026-08-01,true,o1,teacher,reva,Reva,Hill,\n" \
           "u3,active,2026-08-01,true,o1,student,bo2,Bo,Quay,\n"
    list = described_class.new(text)
    expect(list.names).to eq(%w[Ada Bo])
    expect(list.lines[1]).to have_attributes(state: :unread, note: /left out: a teacher/)
    expect(list.left_out).to include("email", "sourcedId")
  end
end
