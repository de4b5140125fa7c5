# frozen_string_literal: true

# The tables of docs/guide say what the catalogues say.
RSpec.describe "The guide" do
  # Rows of a page's tables as their cells, without the backticks of ids.
  def rows(page)
    lines = File.readlines(File.expand_path("../../docs/guide/#{page}.md", __dir__), encoding: "UTF-8").grep(/\A\|/)
    lines.map { |line| line.strip.delete("`").delete_prefix("|").delete_suffix("|").split("|").map(&:strip) }
  end

  def ids(page, column = 0) = rows(page).map { |row| row[column] }

  it "has every situation as it is written and asked" do
    table = rows("3-problems").select { |row| Rungs::Problem::Situation::ALL.key?(row[0]) }
    expect(table).to eq(Rungs::Problem::Situation::ALL.map { |each| [each.id, each.form, each.unknown.to_s] })
  end

  it "has every band and family, in their order" do
    known = Rungs::Problem::Band::ALL.ids + Rungs::Problem::Family::ALL.ids
    expect(ids("3-problems").select { |id| known.include?(id) }).to eq(known)
  end

  it "has every rung, what each recall costs, and every move with its work on the example" do
    table = rows("4-strategies")
    rungs = table.select { |row| row.size == 3 && Rungs::Strategy::Rung::ALL.key?(row[1]) }
    expect(rungs).to eq(Rungs::Strategy::Rung::ALL.map { |each| [each.level.to_s, each.id, each.title] })
    costs = table.select { |row| Rungs::Strategy::Path::RECALL.key?(row[0]) }.to_h { |kind, cost| [kind, cost.to_f] }
    expect(costs).to eq(Rungs::Strategy::Path::RECALL.transform_values(&:to_f))
    moves = table.select { |row| row.size == 6 && Rungs::Strategy::Move::ALL.key?(row[1]) }
    expect(moves.map { |row| row[1] }).to eq(Rungs::Strategy::Move::ALL.ids)
    wrong = moves.reject do |rung, id, title, _, example, work|
      told?(Rungs::Strategy::Move::ALL.fetch(id), rung, title, example, work)
    end
    expect(wrong).to be_empty
  end

  def told?(move, rung, title, example, work)
    asked = if example.start_with?("compare")
              Rungs::Problem.from_story("compare.difference.more",
                                        example.scan(/\d+/).map(&:to_i))
            else
              problem(example)
            end
    [move.rung.to_s, move.title, Rungs::Strategy::Path.by(asked, move.id).work] == [rung, title, work.to_f]
  end

  it "has every slip of its table, with its strategies and its prior" do
    table = rows("6-slips").select { |row| Rungs::Slip::Tables::NAMES.include?(row[0]) }
    wanted = Rungs::Slip::ALL.map do |each|
      [each.table, each.id, each.rungs.empty? ? "any" : each.rungs.join(", "), each.prior.to_s]
    end
    expect(table.map { |row| row.values_at(0, 1, 3, 4) }).to eq(wanted)
  end

  it "has every picture" do
    expect(ids("7-pictures").select { |id| Rungs::Picture::KINDS.key?(id) }).to eq(Rungs::Picture::KINDS.ids)
  end

  it "has the figures of the rule, and what help weighs" do
    figures = rows("10-progress").select { |row| Rungs::Progress::Rule.members.include?(row[0].to_sym) }
    expect(figures).to all(satisfy { |name, value|
      Rungs::Progress::Rule::DEFAULT[name].to_s.delete_suffix(".0") == value
    })
    help = rows("9-recording").to_h.slice(*Rungs::Progress::Rule::DEFAULT.help.keys).transform_values(&:to_f)
    expect(help).to eq(Rungs::Progress::Rule::DEFAULT.help)
  end

  it "has every setting with its choices, and every caution" do
    settings = rows("12-settings").select { |row| Rungs::Planning::Setting::ALL.key?(row[0]) }
    expect(settings).to eq(Rungs::Planning::Setting::ALL.map { |each|
      [each.id, each.question, each.choices.keys.join(" · ")]
    })
    cautions = rows("13-cautions").select { |row| Rungs::Caution::ALL.key?(row[0]) }
    expect(cautions).to eq(Rungs::Caution::ALL.map { |each| [each.id, each.words] })
  end

  it "is what the comments cite" do
    cited = Dir[File.expand_path("../../{lib,app,db}/**/*.rb", __dir__)].flat_map do |file|
      File.read(file).scan(/guide (\d+)/)
    end.flatten.uniq
    pages = Dir[File.expand_path("../../docs/guide/*.md", __dir__)].filter_map { |file| File.basename(file)[/\A\d+/] }
    expect(cited - pages).to be_empty
  end

  it "has every activity with its title and the data of its items" do
    table = rows("8-activities").select { |row| Rungs::Activity::ALL.key?(row[0]) }
    known = Rungs::Activity::ALL.map { |each| [each.id, each.title, each.with.data(seed: 1).first.keys.join(", ")] }
    expect(table.map { |row| row.values_at(0, 1, 3) }).to eq(known)
    options = Rungs::Activity::ALL.map { |each| (each.options - [Rungs::Activity::Ranged::OPTION]).map(&:id) }
    expect(table.map { |row| row[2].split("; ").filter_map { |option| option[/\A\w+/] } }).to eq(options)
  end
end
