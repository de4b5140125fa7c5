# frozen_string_literal: true

# Adding one move, slip, situation, picture or story is one entry in one place.
RSpec.describe "One entry more" do
  it "is a move" do
    move = Rungs::Strategy::Move.new(
      id: "think_nine", rung: "part_whole", title: "ten, and one back", for_a: :whole,
      recalls: %w[fact fact], splits: 1, applies: ->(problem) { problem.parts.include?(9) },
      goes: lambda { |problem|
        whole = problem.whole
        { landings: [10, whole + 1, whole], equations: ["#{whole + 1} − 1 = #{whole}"], says: "Ten, and one back." }
      }
    )
    moves = Rungs::Strategy::Move::ALL.with(move)
    path = moves.fetch("think_nine").path(problem("9 + 5 = ?"))
    expect([path.answer, path.work, path.rung]).to eq([14, 4.0, 3])
    expect(move.path(problem("8 + 5 = ?"))).to be_nil
  end

  it "is a slip" do
    slip = Rungs::Slip.new(
      id: "ten_over", table: "whole", title: "ten over", prior: 3, answers: ->(problem) { problem.whole + 10 },
      why: ->(*) { "Ten too many." }, asks: "Is it about ten or about twenty?"
    )
    slips = [*Rungs::Slip::ALL, slip]
    found = Rungs::Slip::Diagnosis.new(problem("9 + 5 = ?"), 24, among: slips).slips
    expect(found.map(&:id)).to eq(%w[ten_over])
    expect(Rungs::Slip::Diagnosis.new(problem("14 - 5 = ?"), 19, among: slips).slips.map(&:id)).to eq(%w[added_instead])
  end

  it "is a situation" do
    situation = Rungs::Problem::Situation.new(id: "add_to.twice", title: "some arrive, then as many again",
                                              unknown: :whole, form: "F + S = □")
    situations = Rungs::Problem::Situation::ALL.with(situation)
    stub_const("Rungs::Problem::Situation::ALL", situations)
    told = Rungs::Problem.from_story("add_to.twice", [4, 4])
    expect([told.to_s, told.answer, told.operation,
            told.situation.number_names]).to eq(["4 + 4 = □", 8, "add", ["at first", "arrive"]])
  end

  it "is a picture" do
    strip = Class.new do
      include Rungs::Picture::Kind

      def self.id = "strip"
      def self.title = "Strip"
      def self.of(problem, **) = new(problem.shown_parts)
      def initialize(parts) = @parts = parts

      def layout
        lay(Array.new(@parts.sum) { |index| mark(:cell, x: index, y: 0, order: index + 1) }, "A strip of #{@parts.sum}")
      end
    end
    kinds = Rungs::Picture::KINDS.with(strip)
    expect(kinds.fetch("strip").of(problem("3 + 4 = ?")).layout.counters.size).to eq(7)
    expect(strip.from([3, 4]).layout.alt).to eq("A strip of 7")
    expect(strip.act(problem("3 + 4 = ?").paths.first, problem("3 + 4 = ?"))).to eq([])
  end

  it "is a story" do
    words = "{A} finds {first egg}. {A} finds {second more}. How many eggs does {A} have?"
    data = { "most" => 12, "things" => { "egg" => "eggs" },
             "stories" => [{ "tells" => "add_to.result", "words" => words }] }
    template = Rungs::Problem::Template.new("nest", 0, data["stories"].first, data)
    stories = Rungs::Problem::Template::ALL.with(template)
    text = Rungs::Problem::Story.new(Rungs::Problem.from_story("add_to.result", [1, 2]),
                                     template: stories.fetch(template.id), names: %w[Ada Bo]).text
    expect(text).to eq("Ada finds 1 egg. Ada finds 2 more. How many eggs does Ada have?")
    expect(template.suits?(Rungs::Problem.from_story("add_to.result", [9, 9]))).to be(false)
  end
end
