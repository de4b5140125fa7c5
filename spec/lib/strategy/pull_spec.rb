# frozen_string_literal: true

RSpec.describe Rungs::Strategy::Pull do
  def pull(text) = described_class.new(problem(text))
  def invites(text) = pull(text).to_h[:invites]

  it "is the rungs by their work, as the paths give it, without counting in equal steps" do
    (problems_to(20, situations: SmallNumbers::KINDS) + some_to_100(300)).each do |each|
      paths = each.paths.reject { |path| path.rung == 5 || path.move.id.match?(/\Askip|_by_tens/) }
      wanted = paths.group_by(&:rung).map { |rung, all| [all.map(&:work).min, -rung] }.sort
      expect(described_class.new(each).steps.map { |step| [step.work, -step.rung] }).to eq(wanted)
    end
  end

  it "tells what each fact invites above ten" do
    ten = (2..9).flat_map do |p|
      (2..p).map do |q|
        [p, q]
      end
    end.select { |p, q| p + q > 10 && invites("#{p} + #{q} = ?") == "make_ten" }
    expect(ten).to contain_exactly(*[*3..8].map { |q| [9, q] }, [8, 3], [8, 4], [8, 5], [8, 6], [7, 4], [7, 5])
  end

  it "invites counting on where little is put to much, doubles and parts where they are near, ten in taking away too" do
    expect(["2 + 9 = ?", "5 + 3 = ?", "6 + 7 = ?", "9 + 5 = ?"].map { |text| invites(text) })
      .to eq(%w[count_on part_whole part_whole make_ten])
    expect(["13 - 9 = ?", "5 + 5 = ?", "8 + 2 + 5 = ?", "30 + 40 = ?", "12 - 2 = ?"].map { |text| invites(text) })
      .to eq(%w[make_ten make_ten make_ten part_whole part_whole])
    expect(pull("2 + 9 = ?").saves).to eq(20)
    expect(pull("0 + 0 = ?").steps.map(&:rung)).to eq([2, 1])
  end

  it "says the ids and the work" do
    expect(pull("9 + 5 = ?").to_h).to eq(
      pull: [{ rung: "make_ten", work: 1.5 }, { rung: "part_whole", work: 2.5 }, { rung: "count_on", work: 5 },
             { rung: "count_all", work: 28 }],
      invites: "make_ten"
    )
  end

  it "answers for the whole square at once, also for taking away" do
    square = Rungs::Progress::Square.new(10)
    expect(square.cells.size).to eq(121)
    expect(square.at(9, 5)).to have_attributes(p: 9, q: 5, rung: 4, saves: pull("9 + 5 = ?").saves)
    expect(Rungs::Progress::Square.new(10, unknown: :second).at(9, 5).rung).to eq(4)
  end
end
