# frozen_string_literal: true

# What a problem affords follows the moves there are, which have become more; estimates are made again from the records.
# The rules stand here as they were then, by the parts of a problem and which of them is asked.
Sequel.migration do
  up do
    double = ->(parts) { parts[0] == parts[1] && parts[0] >= 2 }
    tens = ->(parts) { parts.all? { |part| (part % 10).zero? } }

    three = lambda do |parts|
      pairs = parts.combination(2)
      [1, 2, (3 if pairs.any?(&double)), (4 if pairs.any? { |pair| pair.sum == 10 }), 5]
    end

    # Doubles, five and some, ten and some, tens by their ones.
    known_parts = lambda do |parts|
      whole = parts.sum
      double.call(parts) || (parts.include?(5) && parts.min >= 1 && whole <= 10) ||
        (parts.include?(10) && whole.between?(11, 19)) || (tens.call(parts) && whole.between?(20, 100))
    end
    by_ten = lambda do |parts|
      (parts.max <= 9 && parts.sum >= 11) || (parts.sum == 10 && parts.min >= 1)
    end

    whole_asked = lambda do |parts|
      lo, hi = parts.minmax
      near = (lo >= 2 && (hi - lo).between?(1, 2)) || (lo >= 5 && hi.between?(6, 9))
      place = hi >= 11 && lo >= 1 && parts.sum <= 100 && !tens.call(parts)
      next_ten = hi >= 11 && lo <= 9 && (hi % 10) + lo > 10 && parts.sum <= 100
      [1, 2, (3 if known_parts.call(parts) || near || place), (4 if by_ten.call(parts) || next_ten), 5]
    end

    # given: the part that is not asked for.
    part_asked = lambda do |parts, given|
      ones = parts.sum % 10
      back = parts.sum >= 21 && ones.between?(1, 8) && given.between?(2, 9) && ones < given
      [1, 2, (3 if parts.min >= 1 || known_parts.call(parts)), (4 if by_ten.call(parts) || back), 5]
    end

    # Both sides sums: what the sum affords, what the missing part does, and one more here where there is one less.
    both_sides = lambda do |equation|
      boxed, sum = equation.split(" = ").map { |side| side.split(" + ") }.sort_by { |side| side.include?("□") ? 0 : 1 }
      sum, given = sum.map(&:to_i), boxed.sum(&:to_i)
      across = sum.map { |number| (number - given).abs }.min.between?(1, 2)
      whole_asked.call(sum) | part_asked.call([given, sum.sum - given], given) | [(3 if across)]
    end

    affords = lambda do |row|
      parts, equation = row[:parts].to_a, row[:equation].to_s
      two_sided = row[:situation].nil? && equation.split(" = ").all? { |side| side.include?("+") }
      rungs = if two_sided then both_sides.call(equation)
              elsif parts.size == 3 then three.call(parts)
              elsif row[:unknown] == "whole" then whole_asked.call(parts)
              else part_asked.call(parts, row[:unknown] == "first" ? parts[1] : parts[0])
              end
      rungs.compact.sort
    end

    from(:problems).select(:situation, :parts, :unknown, :equation).distinct.all.each do |row|
      from(:problems).where(row).update(affords: Sequel.lit("?::integer[]", "{#{affords.call(row).join(',')}}"))
    end
    %i[estimates estimate_steps tallies].each { |table| from(table).delete }
  end

  down { nil }
end
