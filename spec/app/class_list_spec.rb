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

  it "takes any text without falling over" do
    random = Random.new(5)
    signs = ["a", "B", "é", ",", ";", "\t", '"', "\n", " ", "1", ".", "Ω", "'", "\\"]
    200.times { expect(states(Array.new(60) { signs.sample(random: random) }.join)).to be_an(Array) }
    expect(states("")).to eq([])
  end
end
