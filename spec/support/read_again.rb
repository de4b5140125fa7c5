# frozen_string_literal: true

# Guide 10 read a second time, straight from its text and all records at once: what the core says is held against it.
class ReadAgain
  WEIGHTS = { -3 => 0.01, -2 => 0.05, -1 => 0.20, 0 => 0.62, 1 => 0.11, 2 => 0.015, 3 => 0.005 }.freeze
  HELP = { "alone" => 1, "prompted" => 0.5, "shown" => 0.2 }.freeze
  LEAST = Hash.new(8).merge("teens" => 5, "to5" => 3, "to20" => nil, "to100" => nil).freeze

  def initialize(records, band:, on:)
    @records = records.select { |record| record.day <= on && record.rung }
    @band = band
    @on = on
    @top = %w[bridge to100].include?(band) ? 4 : 3
  end

  def probabilities
    @probabilities ||= begin
      chances, last = Array.new(@top, 1.0 / @top), nil
      worked.each do |record|
        chances = step(chances, (record.day - last).to_i) if last
        chances = weigh(chances, record)
        last = record.day
      end
      chances
    end
  end

  def works_out = says_enough? ? likeliest : nil
  def known = [facts.size, facts.values.count(true)]

  def working = knows? ? 5 : works_out

  def confidence
    return known_confidence if knows?

    likeliest ? sure : 0.0
  end

  private

  def worked = @records.reject { |record| record.rung == 5 }
  def shows = worked.select { |record| record.help == "alone" && (record.tells || record.rung == 1) }
  def says_enough? = shows.size >= 2 && sure >= 0.4
  def likeliest = shows.map { |record| [record.rung, @top].min }.uniq.max_by { |rung| [probabilities[rung - 1], -rung] }
  def sure = probabilities[likeliest - 1] * (0.5**((@on - worked.last.day) / 60.0))

  def step(chances, days)
    days = [days, 21].min
    up, down = 1 - Math.exp(-days / 70.0), 1 - Math.exp(-days / 500.0)
    moved = Array.new(@top, 0.0)
    chances.each_with_index do |chance, at|
      v = at.zero? ? 0 : down
      u = at == @top - 1 ? 0 : up
      moved[at - 1] += chance * v if at.positive?
      moved[at + 1] += chance * u * (1 - v) if at < @top - 1
      moved[at] += chance * (1 - v - (u * (1 - v)))
    end
    moved
  end

  def weigh(chances, record)
    heard = [record.rung, @top].min
    could = (record.affords - [5]).map { |rung| [rung, @top].min } | [heard]
    power = HELP.fetch(record.help) * (record.tells || record.rung == 1 ? 1 : 0.2)
    likely = chances.each_with_index.map do |chance, at|
      chance * ((weight(heard - at - 1) / could.sum { |rung| weight(rung - at - 1) })**power)
    end
    likely.map { |each| each / likely.sum }
  end

  def weight(steps) = WEIGHTS.fetch(steps.clamp(-3, 3))

  def answers = @records.select { |record| record.help == "alone" && record.tells && record.exact }

  def facts
    answers.group_by(&:exact).transform_values do |all|
      all.reduce(false) do |known, record|
        next false if !record.right || record.rung <= 2

        known || record.rung == 5
      end
    end
  end

  def share = facts.values.count(true) / facts.size.to_f
  def known_confidence = (1 + share) / 2 * (0.5**((@on - answers.last.day) / 60.0))

  def knows?
    least = LEAST[@band] or return false
    return false if facts.size < least || share < 0.75 || known_confidence < 0.4

    @band != "to5" || facts.any? { |fact, known| known && [[2, 3], [5, 2], [5, 3]].include?(fact) }
  end
end
