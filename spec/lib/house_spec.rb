# frozen_string_literal: true

require "tsort"

# The folders of the house, and which of them calls which: read from the source, by the names that lead into a folder.
class Rooms
  include TSort

  NAMES = { "lib/rungs" => "Rungs", "app/pages" => "Pages", "app" => nil }.freeze

  def initialize
    @calls = rooms.keys.to_h { |room| [room, called_in(room)] }
  end

  def tsort_each_node(&) = @calls.each_key(&)
  def tsort_each_child(room, &) = @calls.fetch(room).each(&)

  # @return [Array<Array<String>>] the rings of folders that call each other
  def rings = each_strongly_connected_component.select { |ring| ring.size > 1 }

  def calls(room) = @calls.fetch(room)

  private

  # @return [Hash{String => String}] a folder and its namespace
  def rooms
    @rooms ||= NAMES.flat_map do |above, name|
      Dir.children(above).select { |each| File.directory?("#{above}/#{each}") && "#{above}/#{each}" != "app/pages" }
         .map { |each| ["#{above}/#{each}", [name, each.split("_").map(&:capitalize).join].compact.join("::")] }
    end.to_h
  end

  def called_in(room)
    source = sources(room).map { |file| File.read(file).gsub(/^\s*#.*|"[^"\n]*"/, "") }.join
    rooms.keys.select { |other| other != room && source.match?(leading_to(other, from: room)) }
  end

  # A folder of the core has its first file beside it: lib/rungs/slip.rb.
  def sources(room) = Dir["#{room}/**/*.{rb,erb}", "#{room}.rb"]

  # Within its own namespace a name stands without it.
  def leading_to(other, from:)
    space, name = rooms.fetch(other).split("::").then { |names| [names[0..-2].join("::"), names.last] }
    inside = rooms.fetch(from).start_with?("#{space}::")
    /(?<![\w:])#{"#{space}::" unless inside || space.empty?}#{name}(?:::[A-Z]|\.[a-z])/
  end
end

RSpec.describe Rooms do
  subject(:house) { described_class.new }

  it "has no two folders that call each other, nor a ring of them" do
    expect(house.rings).to eq([])
  end

  it "is read right: what stands on the ladder is called by much, and calls nothing of the core" do
    expect(house.calls("lib/rungs/strategy")).to eq([])
    expect(house.calls("lib/rungs/slip")).to include("lib/rungs/strategy", "lib/rungs/problem")
    expect(house.calls("app/pages/listen")).to include("app/records", "app/pages/shared", "lib/rungs/strategy")
  end

  it "keeps the arrows one way: the core calls nothing of the application, what is kept calls no page" do
    core = Dir["lib/rungs/*/"].map { |room| room.delete_suffix("/") }
    expect(core.flat_map { |room| house.calls(room) }).to all(start_with("lib/"))
    %w[records drawings sheets exchange live].each do |room|
      expect(house.calls("app/#{room}").grep(%r{app/pages|app/jobs|app/printing})).to eq([])
    end
  end

  # Structs have setters; nobody calls one: `with` gives another.
  it "changes no value of the core" do
    sets = /(?<!self|config)\.[a-z_]+ (\|\||[+-])?= (?!>)/
    found = Dir["lib/**/*.rb"].flat_map { |file| File.readlines(file).map { |line| [file, line.strip] } }
    found.select! { |_, line| line.match?(sets) && !line.match?(/\A(#|def )/) && !line.match?(/"[^"]*#{sets}[^"]*"/) }
    expect(found).to eq([])
  end

  it "has one constant on a line" do
    files = Dir["{lib,app,config,bench,db,spec}/**/*.rb"]
    two = /^\s*[A-Z]\w*(, [A-Z]\w*)+ =/
    expect(files.flat_map { |file| File.readlines(file).grep(two).map { |line| [file, line] } }).to eq([])
  end

  it "has a start that calls the house, and settings that do not" do
    settings = Dir["config/**/*.rb"].grep_v(%r{config/(start|test|boot)})
    expect(settings.select { |file| File.read(file).match?(/(?<!\w)(?:Records|Jobs|Pages|Exchange)::/) }).to eq([])
  end
end
