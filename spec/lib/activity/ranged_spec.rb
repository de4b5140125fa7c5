# frozen_string_literal: true

RSpec.describe Rungs::Activity::Ranged do
  bands = Rungs::Problem::Band::ALL.ids

  it "never draws by heart for one class from what another is due" do
    drawn = lambda do |*due|
      settings = { facts: ->(_) { due.map { |fact| [fact, "again"] } } }
      kind = Rungs::Activity::ALL.fetch("by_heart").with({ "range" => "to10" }, settings)
      kind.data(seed: 1).map { |data| data[:fact].scan(/\d+/).map(&:to_i).sort }
    end
    one, other = [[2, 5], [3, 4], [2, 6], [2, 7]], [[4, 5], [3, 6], [4, 6], [3, 7]]
    expect([drawn[*one].uniq - one, drawn[*other].uniq - other]).to eq([[], []])
  end

  Rungs::Activity::ALL.select(&:ranged).each do |activity|
    it "draws #{activity.id} from one range alone, or says that there are too few" do
      drawn = bands.product(%w[add subtract]).filter_map do |band, operation|
        chosen = { **activity.fitted(band: band, operation: operation), "range" => band }
        kind = activity.with(chosen)
        items = kind.items(seed: 5)
        expect(items.map { |item| item.problem.band }.uniq).to eq([band])
        expect(items.map { |item| item.problem.to_s }).to eq(items.map { |item| kind.problem_of(item.data).to_s })
        expect(kind.items(seed: 5).map(&:data)).to eq(items.map(&:data))
        band
      rescue Rungs::Error => e
        expect(e.message).to match(/there are (\d+|none) |fewer than 4/)
        nil
      end
      expect(drawn.empty?).to be(activity.options.any? { |option| option.id == "move" })
    end
  end

  it "can be drawn in every range and for every aim that an activity is for" do
    none = Rungs::Problem::Band::ORDER.product(%w[add subtract], [2, 3, 4]).flat_map do |range, operation, rung|
      aim = Rungs::Planning::Aim.new(operation: operation, range: range, rung: rung)
      Rungs::Activity::ALL.select { |kind| kind.suits.aim?(aim) }.reject { |kind| drawn?(kind, aim) }
                          .map { |kind| [kind.id, range] }
    end
    expect(none.uniq).to eq([])
  end

  def drawn?(kind, aim)
    kind.sets_for(aim).any? do |chosen|
      kind.with(chosen).data(seed: 2).any?
    rescue Rungs::Error
      false
    end
  end

  it "refuses more than there are, and an unknown range" do
    twins = Rungs::Activity::ALL.fetch("twins")
    expect { twins.with("to" => 10, "range" => "bridge").data(seed: 1, count: 9) }
      .to raise_error(Rungs::Error::TooMany, /9 different items were asked for, but there are 4 through ten/)
    expect { twins.with("range" => "to7") }.to raise_error(Rungs::Error::Unknown)
    expect { twins.with("to" => 5, "range" => "to100").data(seed: 1) }.to raise_error(Rungs::Error::TooMany)
  end
end
