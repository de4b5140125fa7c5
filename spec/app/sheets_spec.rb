# frozen_string_literal: true

require "app_helper"
require "open3"

# Each sheet read back as a printer would.
RSpec.describe Sheets do
  papers = { "a4" => [595.28, 841.89], "letter" => [612, 792] }

  def tool(*command, pdf)
    said, status = Open3.capture2e(*command, stdin_data: pdf, binmode: true)
    raise said unless status.success?

    said.force_encoding(Encoding::UTF_8)
  end

  def text(pdf) = tool("pdftotext", "-layout", "-", "-", pdf)
  def pages(pdf) = tool("pdfinfo", "-", pdf)[/Pages:\s+(\d+)/, 1].to_i

  # @return [Array<Array(String, Float, Float, Float, Float)>] each word with its left, top, right and bottom, in points
  def words(pdf, *range)
    tool("pdftotext", "-bbox", *range, "-", "-", pdf)
      .scan(/<word xMin="(\S+)" yMin="(\S+)" xMax="(\S+)" yMax="(\S+)">(.*?)</)
      .map { |*box, word| [word, *box.map(&:to_f)] }
  end

  def file_of(pdf) = Tempfile.new(["sheet", ".pdf"], binmode: true).tap { |each| each.write(pdf) && each.close }

  # As it is written inside.
  def source(pdf) = tool("qpdf", "--qdf", "--object-streams=disable", file_of(pdf).path, "-", "").b

  def checked(pdf)
    file = file_of(pdf).path
    said, status = Open3.capture2e("qpdf", "--check", file)
    expect([status.exitstatus, said]).to match([0, /No syntax or stream encoding errors/])
    expect(Open3.capture3("pdftoppm", "-r", "4", file, binmode: true)[1]).to eq("")
  end

  # Sound, on its paper, inside its margins, in fonts that travel with it, no glyph missing.
  define_method(:expect_whole) do |pdf, paper|
    checked(pdf)
    wide, high = papers.fetch(paper)
    expect(tool("pdfinfo", "-", pdf)).to match(/Page size:\s+#{wide.to_s.sub(/\.0$/, '')}/)
    edge = (Sheets::Paper::MARGIN * Sheets::Paper::MM) - 1
    expect(words(pdf).reject do |_, left, top, right, bottom|
      left >= edge && right <= wide - edge && top >= edge && bottom <= high - edge + 12
    end).to eq([])
    expect(tool("pdffonts", "-", pdf).lines.drop(2).map { |line| line.split[-5] }).to all(eq("yes"))
    expect(text(pdf)).not_to match(/[\uFFFD\u25A1]/)
  end

  def of(entry, **chosen) = Sheets::ALL.fetch(entry).of(Sheets::Source.new, chosen)

  def practice(id, **chosen)
    source = Sheets::Source.new(kind: Rungs::Activity::ALL.fetch(id).with)
    Sheets::Practice.of(source, { seed: 3, **chosen }).render
  end

  it "puts as many on a page as are wanted, or fewer, and as many on each" do
    expect(pages(practice("hidden_beads", per_page: 4))).to eq(1)
    each = text(practice("fair_shares", per_page: 8)).split("\f").map { |page| page.scan("How many").size }
    expect([each.sum, each.size, each.minmax.reverse.reduce(:-)]).to match([8, be > 1, be <= 1])
  end

  Rungs::Activity::ALL.each do |activity|
    it "practises #{activity.id}, on A4 and large on Letter", deep: activity.id != "hidden_beads" do
      { "a4" => false, "letter" => true }.each do |paper, large|
        pdf = practice(activity.id, paper: paper, large: large, answers: true)
        expect_whole(pdf, paper)
        expect(text(pdf)).to include(activity.title, "#{activity.title}: answers", "1.")
      end
    end
  end

  papers.each_key do |paper|
    it "has every recording sheet and everything to cut on #{paper}", :deep do
      described_class::ALL.on("recording").each do |sheet|
        [1, 7, 20].each { |number| expect_whole(of(sheet.id, number: number, paper: paper).render, paper) }
      end
      described_class::ALL.on("cutouts").each { |sheet| expect_whole(of(sheet.id, paper: paper).render, paper) }
    end
  end

  it "makes the same sheet of the same seed, and says in its properties what makes it again" do
    one, again, other = [3, 3, 4].map do |seed|
      practice("hidden_beads", seed: seed)
    end
    expect(text(one)).to eq(text(again))
    expect(text(one)).not_to eq(text(other))
    expect(tool("pdfinfo", "-", one)).to include("activity=hidden_beads seed=3 whole=10")
  end

  it "writes for children in type of 18 points or more, of 24 where it is large, in their typeface" do
    { false => 18, true => 24 }.each do |large, size|
      asked = words(practice("hidden_beads", large: large)).select { |word, *| word == "hiding?" }
      high = asked.map { |_, _, top, _, bottom| bottom - top }
      expect(high).to all(be >= size * 1.2)
    end
  end

  it "leaves the name line out where it is not wanted, and makes as many copies as wanted" do
    expect(text(practice("twins", name: false))).not_to include("Name")
    expect(pages(practice("twins", copies: 3))).to eq(3)
  end

  it "is known from its entry alone: to the list, the contract, the form and the pack" do
    expect(Sheets::ALL.map(&:title)).to all(match(/\A[A-Z]/))
    Sheets::ALL.flat_map(&:choices).each do |choice|
      expect(Pages::Sheets::SheetContract::CHOICES.fetch(choice.id)).to include(*choice.among.first(2))
    end
    whom = Sheets::ALL.group_by(&:for_whom).transform_values { |all| all.first.copies_in_pack(24) }
    expect(whom).to eq(child: 24, group: 6, family: 1, teacher: 1)
    named = Rungs::Activity::ALL.flat_map { |each| [each.paper[:recording], *each.paper[:cutouts]] }.compact.uniq
    expect(named - Sheets::ALL.ids).to eq([])
  end

  it "mirrors the backs of dot cards exactly, numeral behind its dots, over the long edge" do
    pdf = of("dot_cards").render
    width = papers["a4"][0]
    backs = words(pdf, "-f", "2", "-l", "2").select { |_, _, top, _, low| low - top > 40 }
    middles = backs.map { |_, left, _, right, _| (left + right) / 2 }.uniq(&:round).sort
    mirrored = middles.map { |middle| width - middle }.sort
    expect(middles.zip(mirrored).map { |one, other| (one - other).abs }).to all(be < 0.5)
    firsts = (1..10).flat_map do |number|
      Rungs::Picture::Dots::ARRANGEMENTS.filter_map { |each| Rungs::Picture::Dots.arranged(each, number)&.total }
    end
    rows = backs.map { |numeral, *| numeral.to_i }.each_slice(3)
    expect(rows.flat_map(&:reverse)).to eq(firsts.first(backs.size))
  end

  # Strokes of a page, each as its ends, in millimetres: whole ones and dashed ones.
  def strokes(pdf)
    dashed = false
    source(pdf).scan(/^\[(.*?)\] \S+ d$|^(\S+) (\S+) m\n(\S+) (\S+) l\nS$/n).each_with_object([[], []]) do |found, all|
      dash, *ends = found
      if dash
        dashed = !dash.empty?
      else
        all[dashed ? 1 : 0] << ends.map { |each| each.to_f / Sheets::Paper::MM }
      end
    end
  end

  def long(stroke) = Math.hypot(stroke[2] - stroke[0], stroke[3] - stroke[1])

  it "folds a die from six faces of one size, every edge between two faces and every tab dashed" do
    papers.each_key do |paper|
      cut, folded = strokes(of("dice_nets", paper: paper).render)
      whole = folded.map { |stroke| long(stroke) }
      expect(folded.size).to eq(2 * (5 + 7))
      expect(whole.minmax.reduce(:-).abs).to be < 0.01
      expect(whole.first).to be > 25
      expect(cut.count { |stroke| long(stroke) < whole.first - 0.1 }).to be >= 2 * 7
    end
  end

  it "cuts place-value cards that overlap in register: a digit is as far from the next on every card" do
    papers.each_key do |paper|
      rows = words(of("place_value", paper: paper).render)
             .select { |_, _, top, _, low| low - top > 40 }.group_by { |_, _, top, *| top.round }
      tens = rows.values.last(3).flat_map { |row| row.each_slice(2).to_a }
      expect(tens.map { |pair| pair.map(&:first).join }).to eq(%w[10 20 30 40 50 60 70 80 90])
      apart = tens.map { |pair| pair.map { |_, left, _, right, _| (left + right) / 2 }.reduce(:-).abs }
      expect(apart).to all(be_within(0.5).of(28 * Sheets::Paper::MM))
    end
  end

  it "gives cards of each kind a back of its own, and goes as far as wanted" do
    backs = %w[number_cards riddle_cards story_cards match_cards].map do |kind|
      source(of(kind).render).scan(/^%% Contents.*?endstream$/mn)[1]
    end
    expect(backs.uniq.size).to eq(4)
    sizes = [{}, { to: 10 }, { to: 5 }].map do |far|
      words(of("number_cards", **far).render).count { |_, _, top, _, low| low - top > 60 }
    end
    expect(sizes).to eq([21, 11, 6])
  end

  it "writes sentences, ways and wholes as the class has them" do
    count = ->(**more) { text(Sheets::Fill::Ways.new(number: 6, **more).render).scan("= 6").size }
    expect([count.call, count.call(turned: "one")]).to eq([7, 4])
    made = ->(**more) { Sheets::Fill::Parts.new(**more).render }
    expect_whole(made.call(down: true, whole: :left), "a4")
    expect(text(made.call(down: true))).not_to match(/\+.*=/)
    expect(text(made.call)).to match(/\+.*=/)
  end

  it "tells the two tones apart on a grey copy", :deep do
    grey = tool("pdftoppm", "-gray", "-r", "150", "-singlefile", "-", practice("ten_and_some"))
    _, wide, high, = grey.b.match(/\AP5\s+(\d+)\s+(\d+)\s+\d+\s/n).to_a
    dots = grey.b.bytes.last(wide.to_i * high.to_i)
    solid = dots.count { |each| each.between?(120, 190) }
    expect(solid).to be > 2000
    expect(dots.count { |each| each < 110 }).to be > 2000
  end

  it "is made from the command line too, the same of the same seed", :deep do
    said = lambda do |*arguments|
      [StringIO.new(+"".b), StringIO.new].then do |out, err|
        [Terminal::Main.run(["sheet", *arguments], out: out, err: err), out.string, err.string]
      end
    end
    status, pdf, = said.call("practice", "--activity", "hidden_beads", "--seed", "3", "--paper", "letter")
    expect(status).to eq(0)
    expect_whole(pdf, "letter")
    expect(text(pdf)).to eq(text(practice("hidden_beads", paper: "letter")))
    expect(text(said.call("recording", "--kind", "ways", "--number", "5")[1])).to include("Find all the ways")
    expect(pages(said.call("cutouts", "--kind", "dominoes", "--option", "to=9")[1])).to eq(3)
    { %w[poster] => /no sheet “poster”/, %w[cutouts --kind x] => /no kind “x”/,
      %w[practice --activity twins --copies 99] => /no copies “99”; it goes from 1 to 40/,
      %w[cutouts --kind dominoes --option to=7] => /no to “7”; there are 6, 9/,
      %w[cutouts --kind mats --option to=7] => /no option “to”/ }.each do |arguments, words|
      expect(said.call(*arguments).values_at(0, 2)).to match([2, words])
    end
  end

  it "says in a sentence what cannot be printed" do
    { -> { practice("twins", per_page: 5) } => /4, 6, 8/,
      -> { practice("twins", paper: "a5") } => /no paper “a5”; there are a4, letter/,
      -> { Sheets::Practice.new(items: [], title: "x") } => /nothing to put/,
      -> { Sheets::Fill::Dots.new(number: 30) } => /1 to 20/,
      -> { of("x") } => /no sheet “x”/,
      -> { Sheets::Clipboard.new(children: {}, problems: ["1 + 1 = □"], title: "x") } => /nobody on the list/,
      -> { Sheets::Clipboard.new(children: { "Ada" => [] }, problems: [], title: "x") } => /no problem to listen to/,
      -> { Sheets::LessonPage.new(parts: [], title: "x") } => /no parts yet/,
      -> { Sheets::NotePages.new(each: [], title: "x") } => /nobody on the list/ }.each do |made, words|
      expect(&made).to raise_error(Rungs::Error, words)
    end
  end

  describe "the tab" do
    let(:teacher) { make_teacher(children: ["Ada", "Bo", "Cleo", "Maximiliana-Theodora van der Strandtmeister"]) }
    let(:room) { teacher[1] }

    before { sign_in teacher[0] }

    def pdf(query)
      get "/sheets/#{room.id}/sheet.pdf?#{query}"
      expect(last_response.headers["content-type"]).to eq("application/pdf")
      last_response.body
    end

    it "puts what the lesson needs first, of the same items as on the board" do
      course = room.start_lesson(room.today).course
      part = course.plan("hidden_beads", details: { "options" => { "whole" => "10" }, "seed" => 5 })
      course.plan("dice_mat")
      get "/sheets/#{room.id}"
      expect(last_response.body).to include("For today", "Hidden beads", "Mats for two dice", "Clipboard",
                                            "The lesson on a page")
      sheet = text(pdf("sheet=practice&part=#{part.id}"))
      (0...part.items.size).each { |index| expect(sheet).to include(part.items.item(index).ask) }
      expect_whole(pdf("sheet=clipboard&paper=letter"), "letter")
      lesson = text(pdf("sheet=lesson"))
      expect(lesson).to include("Hidden beads", "7 min", "Take care", "Listen to", "Ada")
    end

    it "asks for the options of an activity where it practises that by itself, not of a part or another sheet" do
      course = room.start_lesson(room.today).course
      part = course.plan("hidden_beads", details: { "options" => { "whole" => "10" }, "seed" => 5 })
      asked = lambda do |query|
        get "/sheets/#{room.id}?#{query}"
        Nokogiri::HTML5(last_response.body).css("select").map { |select| select["name"] } & %w[whole]
      end
      expect(["sheet=practice&activity=hidden_beads", "sheet=practice&part=#{part.id}", "sheet=dominoes"].map(&asked))
        .to eq([%w[whole], [], []])
    end

    it "shows the first page as high as its paper is" do
      high = %w[a4 letter].map do |paper|
        get "/sheets/#{room.id}?sheet=dominoes&paper=#{paper}"
        Nokogiri::HTML5(last_response.body).at_css("img.sheets-page")["height"]
      end
      expect(high).to eq(%w[842 770])
    end

    it "shows the first page as it will be printed" do
      get "/sheets/#{room.id}/preview.png?sheet=dominoes"
      expect(last_response.headers["content-type"]).to eq("image/png")
      expect(last_response.body.b).to start_with("\x89PNG".b)
    end

    it "prints numbers of their own for each child of a group, each beginning with another, and for one child", :deep do
      posed = pose(room)
      recorder = Records::Recorder.new(room, teacher[0])
      room.children.zip([1, 1, 3, 3]).each do |child, rung|
        3.times do
          recorder.record(child: child, problem: posed, code: Rungs::Strategy::Rung.at(rung).id, happened_at: Time.now,
                          client_key: SecureRandom.uuid)
        end
      end
      posed.lesson.keep_groups(room.children.each_slice(2).to_a)
      sheet = pdf("sheet=own")
      expect_whole(sheet, "a4")
      one, same, other, = text(sheet).split("\f").map { |page| page.scan(/\d+ \+ +\d+ +=/) }
      expect([one.sort, one.first == same.first, one.sort == other.sort]).to eq([same.sort, false, false])
      expect([pages(sheet), pages(pdf("sheet=own&child=#{room.children.first.id}"))]).to eq([4, 1])
      room.children.each { |child| expect(text(sheet)).not_to include(child.name) }
    end

    it "has a page for home for each child: a game, how to ask, a strip to write on, and no rung" do
      homes = pdf("sheet=home")
      expect(pages(homes)).to eq(room.children.size)
      expect(text(homes)).to include("For Ada and family", "This week:", "How did you do it", "Tell us, if you like")
      expect(text(homes)).not_to match(/count all|part–whole|rung|\d %/i)
    end

    it "prints a page for each family, and no rung, score or other child’s name on any" do
      families = pdf("sheet=families")
      expect(pages(families)).to eq(4)
      expect(text(families)).not_to match(/count all|count on|part–whole|\d %/i)
    end

    it "says what is missing on a day gone by on which there was nothing, and refuses what there is not" do
      gone = "day=#{room.today - 7}"
      get "/sheets/#{room.id}?sheet=clipboard&#{gone}"
      expect(last_response.body).to include("This lesson has no problem to listen to yet")
      get "/sheets/#{room.id}/sheet.pdf?sheet=lesson&#{gone}"
      expect([last_response.status, last_response.body]).to match([422, include("no parts yet")])
      get "/sheets/#{room.id}?paper=a5"
      expect(last_response.status).to eq(422)
    end
  end
end
