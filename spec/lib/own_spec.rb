# frozen_string_literal: true

require "json"

RSpec.describe Rungs::Own do
  def part(**fields)
    described_class.read("part", { title: "Clap it", minutes: "5", picture: "none", **fields })
  end

  def refused(kind, **fields)
    described_class.read(kind, fields)
    nil
  rescue Rungs::Error::Unreadable => e
    e.message
  end

  it "says everything that is wrong with a part at once" do
    message = refused("part", title: " ", minutes: "61", lines: "a" * 201, sentences: "7 +\n3 + 4 = ?", picture: "nine")
    expect(message).to eq("the title is empty; the time in minutes is a number from 1 to 60; " \
                          "a line of what to say has 201 letters; 200 are the most; " \
                          "“7 +”: an equation has one equals sign: “7 +”; there is no picture “nine”")
  end

  it "takes each length up to its edge and no further" do
    expect(part(title: "a" * 60).title.size).to eq(60)
    expect(refused("part", title: "a" * 61, minutes: "1", picture: "none"))
      .to eq("the title has 61 letters; 60 are the most")
    expect(part(lines: "b\n" * 40).lines.size).to eq(40)
    expect(refused("part", title: "a", minutes: "60", picture: "none", lines: "b\n" * 41)).to include("41 lines; 40")
    expect(part(sentences: "1 + 1 = ?\n" * 30).items.size).to eq(30)
    expect([part(minutes: "1"), part(minutes: "60")].map(&:minutes)).to eq([1, 60])
    expect(refused("part", title: "a", minutes: "0", picture: "none")).to include("1 to 60")
    expect(refused("thing", one: "a", many: "b", most: "1", drawing: "counter")).to include("2 to 100")
    expect(refused("person", name: "Ada, Ben")).to eq("a name has no comma")
    expect(refused("question", slip: "whole.no_such", words: "What?")).to eq("there is no slip “whole.no_such”")
  end

  it "keeps any writing as text, but for marks that hide or turn what follows" do
    arabic, emoji = "عُدّ معي", "🥁 x 3"
    made = part(title: "#{arabic}\u202E", lines: "#{emoji}\n<script>alert(1)</script>\n\u0007\n", caution: "")
    expect(made.to_h.slice(:title, :lines, :caution))
      .to eq(title: arabic, lines: [emoji, "<script>alert(1)</script>"], caution: nil)
    expect(refused("part", title: "\u200B\u202E", minutes: "5", picture: "none")).to eq("the title is empty")
  end

  it "is the same from what it keeps" do
    [part(lines: "Hear\n(you)", sentences: "3 + ? = 9", bring: "12 dice", caution: "Gently."),
     described_class.read("thing", "one" => "pebble", "many" => "pebbles", "most" => "20", "drawing" => "counter"),
     described_class.read("place", "where" => "in the garden"), described_class.read("person", "name" => "the baker"),
     described_class.read("question", "slip" => "whole.start_counted", "words" => "Where did you begin?")].each do |own|
      expect(own.class.of(JSON.parse(own.json_fields.to_json))).to eq(own)
      expect(described_class.read(own.class.id, own.json_fields)).to eq(own)
      expect(own.said).to match(/\S/)
    end
  end

  it "makes a step of each line, and puts what is for the tablet beside the line before it" do
    kind = Rungs::Activity::OWN.with({}, own: part(lines: "(Sit.)\nClap!\n(Wait.)\n(Look.)\nAgain"))
    item = kind.item(part(lines: "(Sit.)\nClap!\n(Wait.)\n(Look.)\nAgain").items.first)
    expect(item.steps.map { |step| [step.name, step.words, step.tell, step.alone] })
      .to eq([["ask", "Clap it", "Sit.", true], ["look", "Clap!", "Wait. Look.", true], ["write", "Again", nil, true]])
    expect(item.problem).to be_nil
    expect(kind.about).to eq("Clap it")
  end

  it "makes an item of each sentence, with the picture that was chosen as its check" do
    own = part(sentences: "7 + 5 = ?\n12 - ? = 5\n? + 3 = 9\n8 + 4 = ? + 5", picture: "frame")
    kind = Rungs::Activity::OWN.with({ "picture" => "frame" }, own: own)
    items = own.items.map { |data| kind.item(data) }
    expect(items.map(&:answer)).to eq([12, 7, 6, 7])
    expect(items.map(&:written)).to eq(["7 + 5 = 12", "12 − 7 = 5", "6 + 3 = 9", "8 + 4 = 7 + 5"])
    expect(items.map { |item| item.steps.count { |step| step.name == "check" } }).to eq([1, 2, 1, 1])
    expect(items[2].steps.find { |step| step.name == "check" }.layout.alt).to include("6 and 3")
    expect(items.map { |item| item.steps.first.layout.alt }).to all(include("a number to find"))
    plain = Rungs::Activity::OWN.with({ "picture" => "none" }, own: own).item(own.items.first)
    expect(plain.steps.map(&:name)).to eq(%w[ask write])
    expect(kind.face.answer).to eq(12)
    expect(Rungs::Activity::OWN.with({}, own: part(lines: "Hear")).face.ask).to eq("Hear")
  end

  it "begins with its words where it has some, before its sentences, and else with its first sentence" do
    both = part(lines: "Clap!", sentences: "7 + 5 = ?")
    expect(both.items).to eq([{ title: "Clap it", lines: [{ say: "Clap!" }] }, { equation: "7 + 5 = □" }])
    expect(part(sentences: "7 + 5 = ?").items).to eq([{ equation: "7 + 5 = □" }])
    expect(part.items).to eq([{ title: "Clap it", lines: [] }])
  end

  it "takes whatever a child said to its words, and to a sentence what comes to its answer" do
    kind = Rungs::Activity::OWN.with
    words, sum = part(lines: "Clap!", sentences: "7 + 5 = ?").items.map { |data| kind.item(data) }
    expect(kind.way(words, " I clapped twice ").text).to eq("I clapped twice")
    expect(kind.way(words, "a" * 60).text.size).to eq(60)
    ["", " ", "a" * 61].each { |said| expect { kind.way(words, said) }.to raise_error(Rungs::Error::NotAProblem) }
    expect(kind.way(sum, "7 + 3 + 2").text).to eq("7 + 3 + 2 = 12")
    expect { kind.way(sum, "7 + 6") }.to raise_error(Rungs::Error::NotAProblem, /is 13, not 12/)
  end

  it "says a question with the slip it stands beside" do
    question = described_class.read("question", "slip" => "part.added_instead", "words" => "Did some go?")
    slip = Rungs::Slip::ALL.find { |each| [each.table, each.id] == %w[part added_instead] }
    expect(question.said).to eq("#{slip.title}: “Did some go?”")
  end

  it "counts what to bring where a number says so, and names the rest" do
    own = part(bring: "12 dice\nthe big drum", caution: "Gently.")
    kind = Rungs::Activity::OWN.with({}, own: own)
    expect(kind.materials.map(&:to_s)).to eq(["12 dice for the class", "the big drum"])
    expect(Rungs::Planning::Bring.for([kind], children: 20).map(&:to_s)).to eq(["15 dice", "the big drum"])
    expect([kind.title, kind.cautions]).to eq(["Clap it", ["Gently."]])
  end

  describe Rungs::Own::Book do
    own = Rungs::Own
    thing = own.read("thing", "one" => "pebble", "many" => "pebbles", "most" => "12", "drawing" => "shell")
    place = own.read("place", "where" => "in the garden")

    def told(book, count, situation = "add_to.result", band = "to10")
      pool = Rungs::Problem::Pool.new(situation: situation, band: band)
      problems = pool.draw([count, pool.count].min, random: Random.new(4)).cycle.first(count)
      problems.each_with_index.map do |problem, seed|
        Rungs::Problem::Story.write(problem, random: Random.new(seed), book: book)
      end
    end

    it "tells every situation of a thing and at a place, with the numbers in it and one question" do
      alone = described_class.new(things: [thing], places: [place], people: ["the baker"], share: "alone")
      Rungs::Problem::Situation::ALL.reject(&:open).each do |situation|
        told(alone, 20, situation.id).each do |story|
          expect(story.text).to include("pebble").and match(/\A[A-Z\d].*\?\z/)
          expect(Rungs::Problem::Story.missing_numbers(story.text, story.problem)).to eq([])
          expect(story.text).not_to match(/@|\{|\bmore than 1\b|\b1 pebbles|(?<!\d)1 are/)
          expect(alone[story.template.id].things).to eq(%w[shell shell shell])
          expect(story.template_and_things).to eq(template: story.template.id, things: %w[shell shell shell])
        end
      end
    end

    it "comes alone, every other time, or as one among all; and never with more than a person has" do
      share = %w[alone half among].to_h do |how|
        stories = told(described_class.new(things: [thing], places: [place], share: how), 400)
        [how, stories.count { |story| story.text.include?("pebble") }]
      end
      expect(share["alone"]).to eq(400)
      expect(share["half"]).to be_between(160, 240)
      expect(share["among"]).to be_between(15, 100)
      large = told(described_class.new(things: [thing], share: "alone"), 30, "add_to.result", "to20")
      mine = large.select { |story| story.text.include?("pebble") }
      expect(mine.map { |story| story.problem.whole }.max.to_i).to be <= 12
    end

    it "tells of the usual things at a place of one's own, and of nothing where it is gone" do
      there = told(described_class.new(places: [place], share: "alone"), 30)
      expect(there.map(&:text)).to all(include("in the garden"))
      expect(described_class.new[there.first.template.id]).to be_nil
      expect(described_class.new(places: [place])[there.first.template.id].id).to eq(there.first.template.id)
    end

    it "names people of one's own, two different ones always" do
      book = described_class.new(people: ["Ada", "the baker"], share: "alone")
      expect(Array.new(50) { |seed| book.names(Random.new(seed)).sort }.uniq).to eq([["Ada", "the baker"]])
      one = described_class.new(people: ["Ada"], share: "half")
      names = Array.new(300) { |seed| one.names(Random.new(seed)) }
      expect(names.map { |pair| pair.uniq.size }).to all(eq(2))
      expect(names.count { |pair| pair.include?("Ada") }).to be_between(100, 200)
    end

    it "takes nothing for a word that a story would read otherwise" do
      ["{first}", "a|b", "a: b", "a@b", "more"].each do |word|
        expect { own.read("thing", "one" => word, "many" => "x", "most" => "5", "drawing" => "counter") }
          .to raise_error(Rungs::Error::Unreadable, /cannot hold/)
      end
    end
  end

  it "tells the usual stories as before where nothing is of one's own" do
    problem = Rungs::Problem.from_story("add_to.result", [3, 4])
    stories = [Rungs::Own::Book.new, Rungs::Problem::Book::USUAL].map do |book|
      Array.new(20) { |seed| Rungs::Problem::Story.write(problem, random: Random.new(seed), book: book).text }
    end
    expect(stories.uniq.size).to eq(1)
  end
end
