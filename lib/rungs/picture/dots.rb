# frozen_string_literal: true

module Rungs
  module Picture
    # Dots to see at a glance: as on a die, as a domino, scattered, in a ring, in two tones, in pairs with an odd one on top;
    # each with the groups it is built from.
    class Dots
      include Kind

      ARRANGEMENTS = %w[die domino scattered ring tones pairs].freeze
      DIE = { 0 => [], 1 => [[1, 1]], 2 => [[0, 0], [2, 2]], 3 => [[0, 0], [1, 1], [2, 2]], 4 => [[0, 0], [2, 0], [0, 2], [2, 2]], 5 => [[0, 0], [2, 0], [1, 1], [0, 2], [2, 2]],
              6 => [[0, 0], [2, 0], [0, 1], [2, 1], [0, 2], [2, 2]] }.freeze
      SIDE = 3.6

      def self.of(problem, **) = problem.shown_parts.size == 2 && problem.parts.max <= 6 ? new("domino", problem.parts) : nil

      # A double, or one beside it, as a domino.
      def self.act(path, problem, **) = problem.parts.size == 2 && problem.larger <= 6 && %w[double near_double].include?(path.move.id) ? [new("domino", problem.parts).layout] : []

      def self.from(numbers, arrangement: "scattered", seed: 1)
        return new(arrangement, numbers, seed: seed) unless numbers.size == 1 && %w[domino tones].include?(arrangement)

        arranged(arrangement, numbers.first, random: Random.new(seed)) || raise(Error::NotAProblem, "#{numbers.first} does not lie as #{arrangement}")
      end

      # The groups of an arrangement for a number, the same for the same random source.
      # @return [Dots, nil] nil where that many cannot be arranged so
      def self.arranged(arrangement, number, random: Random.new(number))
        parts = case arrangement
                when "die" then number <= 6 ? [number] : nil
                when "domino" then (0..6).map { |left| [left, number - left] }.select { |pair| pair.all? { |each| each.between?(0, 6) } }.sample(random: random)
                when "tones" then number >= 2 ? (1...number).map { |first| [first, number - first] }.sample(random: random) : nil
                else [number]
                end
        parts && new(arrangement, parts, seed: random.rand(1000))
      end

      attr_reader :arrangement, :parts

      # @param arrangement [String] one of ARRANGEMENTS
      # @param parts [Array<Integer>] one number, or two for a domino or two tones
      # @param seed [Integer] of a scattering
      # @raise [Error::NotAProblem]
      def initialize(arrangement, parts, seed: 1)
        refuse "dots lie #{ARRANGEMENTS.join(', ')}" unless ARRANGEMENTS.include?(arrangement)
        refuse "a die shows 0 to 6, a domino two of them" if %w[die domino].include?(arrangement) && parts.max > 6
        refuse "20 dots at most" if parts.sum > 20

        @arrangement = arrangement
        @parts = parts
        @seed = seed
      end

      def total = parts.sum

      # @return [Layout]
      def layout
        dots = places.each_with_index.map { |(x, y), index| mark(:pip, x: x, y: y, width: 0.8, height: 0.8, tone: tone(index), group: group(index), order: index + 1) }
        lay(cards + dots, alt)
      end

      def ways
        sizes = { "die" => [die_groups], "domino" => [parts], "tones" => [parts], "pairs" => [[2] * (total / 2), ([2] * (total / 2)) + [1]].last(1).map do |all|
  total.odd? ? all : [2] * (total / 2)
end,
                  "ring" => [ring_groups], "scattered" => [clusters.map(&:size)] }.fetch(arrangement)
        sizes.map { |all| all.reject(&:zero?) }.select { |all| all.size > 1 }.map { |all| Way.sum(*all) }
      end

      private

      def die_groups = { 4 => [2, 2], 5 => [4, 1], 6 => [3, 3] }.fetch(total, [total])
      def ring_groups = total > 5 ? [(total / 2.0).ceil, total / 2] : [total]
      def group(index) = parts.size == 2 && index >= parts[0] ? 1 : 0
      def tone(index) = arrangement == "tones" && group(index) == 1 ? :b : :a

      def places
        { "die" => -> { die(parts[0], 0) }, "domino" => -> { die(parts[0], 0) + die(parts[1], SIDE) }, "pairs" => -> { paired }, "ring" => -> { ringed }, "tones" => -> { rowed },
          "scattered" => -> { clusters.flatten(1) } }.fetch(arrangement).call
      end

      # The middle of five and three counts last on five, so that four and one stand apart.
      def die(number, left)
        spots = DIE.fetch(number)
        spots = spots.reject { |spot| spot == [1, 1] } + [[1, 1]] if number == 5
        spots.map { |column, row| [left + 0.4 + column, 0.4 + row] }
      end

      def cards = Array.new({ "die" => 1, "domino" => 2 }.fetch(arrangement, 0)) { |index| mark(:tile, x: index * SIDE, y: 0, width: SIDE, height: SIDE) }

      # Pairs side by side, an odd one on top.
      def paired
        rows = total / 2
        below = (0...rows).flat_map { |row| [[0, row + (total % 2)], [1, row + (total % 2)]] }
        total.odd? ? below + [[0.5, 0]] : below
      end

      def ringed
        radius = [total * 0.26, 1.1].max
        (0...total).map { |index| (2 * Math::PI * index / total) - (Math::PI / 2) }.map { |angle| [radius + (radius * Math.cos(angle)), radius + (radius * Math.sin(angle))] }
      end

      def rowed = (0...total).map { |index| [(index % 5) * 1.1, (index / 5) * 1.1] }

      # Clusters of two to four, set apart: scattered to the eye, countable by groups.
      def clusters
        @clusters ||= begin
          random = Random.new(@seed)
          sizes, left = [], total
          sizes << [random.rand(2..4), left].min.tap { |size| left -= size } while left.positive?
          sizes.each_with_index.map { |size, index| cluster(size, index, random) }
        end
      end

      def cluster(size, index, random)
        left, top = (index % 3) * 3.0, (index / 3) * 2.6
        turn = random.rand * Math::PI
        (0...size).map { |each| turn + (2 * Math::PI * each / size) }.map { |angle| [left + 0.8 + (Math.cos(angle) * 0.75), top + 0.8 + (Math.sin(angle) * 0.75)] }
      end

      def alt
        "#{total} dots, #{{ 'die' => 'as on a die', 'domino' => "as a domino: #{parts.join(' and ')}", 'scattered' => 'scattered', 'ring' => 'in a ring',
                            'tones' => "in two tones: #{parts.join(' and ')}", 'pairs' => 'in pairs' }.fetch(arrangement)}"
      end
    end
  end
end
