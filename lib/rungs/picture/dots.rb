# frozen_string_literal: true

module Rungs
  module Picture
    # Dots to see at a glance: as on a die, as a domino, scattered, in a ring, in two tones, in pairs with an odd one on
    # top; each with the groups it is built from.
    class Dots
      include Kind

      settings :arrangement, :seed

      # In words, after how many there are.
      TITLES = { "die" => "as on a die", "domino" => "as a domino: %s", "scattered" => "scattered",
                 "ring" => "in a ring",
                 "tones" => "in two tones: %s", "pairs" => "in pairs" }.freeze
      ARRANGEMENTS = TITLES.keys.freeze
      # Columns and rows of three: to six as on a die, to nine as on a large domino.
      SIX = [[0, 0], [0, 1], [0, 2], [2, 0], [2, 1], [2, 2]].freeze
      DIE = { 0 => [], 1 => [[1, 1]], 2 => [[0, 0], [2, 2]], 3 => [[0, 0], [1, 1], [2, 2]],
              4 => [[0, 0], [2, 0], [0, 2], [2, 2]], 5 => [[0, 0], [2, 0], [0, 2], [2, 2], [1, 1]], 6 => SIX,
              7 => [*SIX, [1, 1]], 8 => [*SIX, [1, 0], [1, 2]], 9 => [*SIX, [1, 0], [1, 1], [1, 2]] }.freeze
      DIE_GROUPS = { 4 => [2, 2], 5 => [4, 1], 6 => [3, 3] }.freeze
      SIDE = 3.6
      PIP = 0.8
      MOST = 20
      MOST_DOTS = { "die" => 6, "domino" => 9 }.freeze

      def self.of(problem, **)
        problem.shown_parts.size == 2 && problem.parts.max <= 6 ? new("domino", problem.parts) : nil
      end

      # A double, or one beside it, as a domino.
      def self.acts?(path, problem) = path.rung == 3 && problem.shape == :two

      def self.stage(scene, **)
        parts = scene.settled
        new("domino", parts) if parts.size == 2 && parts.max <= 6 && !scene.left?
      end

      def self.from(numbers, arrangement: "scattered", seed: 1)
        return new(arrangement, numbers, seed: seed) unless numbers.size == 1 && %w[domino tones].include?(arrangement)

        arranged(arrangement, numbers.first, random: Random.new(seed)) ||
          raise(Error::NotAProblem, "#{numbers.first} does not lie as #{arrangement}")
      end

      # The groups of an arrangement for a number, the same for the same random source.
      # @return [Dots, nil] nil where that many cannot be arranged so
      def self.arranged(arrangement, number, random: Random.new(number))
        parts = parts_of(arrangement, number)&.sample(random: random)
        parts && new(arrangement, parts, seed: random.rand(1000))
      end

      # @return [Array<Array<Integer>>] the parts it may be made of
      def self.parts_of(arrangement, number)
        case arrangement
        when "die" then number <= 6 ? [[number]] : []
        when "domino" then (0..6).map { |left| [left, number - left] }.select { |pair| pair[1].between?(0, 6) }
        when "tones" then (1...number).map { |first| [first, number - first] }
        else [[number]]
        end
      end
      private_class_method :parts_of

      attr_reader :arrangement, :parts

      # @param arrangement [String] one of ARRANGEMENTS
      # @param parts [Array<Integer>] one number, or two for a domino or two tones
      # @param seed [Integer] of a scattering
      # @raise [Error::NotAProblem]
      def initialize(arrangement, parts, seed: 1)
        refuse "dots lie #{ARRANGEMENTS.join(', ')}" unless ARRANGEMENTS.include?(arrangement)
        refuse "a die shows 0 to 6, a domino 0 to 9 on each half" if parts.max > MOST_DOTS.fetch(arrangement, MOST)
        refuse "#{MOST} dots at most" if parts.sum > MOST

        @arrangement = arrangement
        @parts = parts
        @seed = seed
      end

      def total = parts.sum

      # @return [Layout]
      def layout
        dots = places.each_with_index.map do |(x, y), index|
          mark(:pip, x: x, y: y, width: PIP, height: PIP, tone: tone(index), group: group(index), order: index + 1)
        end
        lay(cards + dots,
            "#{total} #{total == 1 ? 'dot' : 'dots'}, #{format(TITLES.fetch(arrangement), parts.join(' and '))}")
      end

      def ways
        sizes = GROUPS.fetch(arrangement).call(self).reject(&:zero?)
        sizes.size > 1 ? [Way.sum(*sizes)] : []
      end

      # Clusters of two to four, set apart: scattered to the eye, countable by groups.
      # @return [Array<Integer>] how many are in each
      def clusters
        @clusters ||= begin
          random = Random.new(@seed)
          sizes, left = [], total
          sizes << [random.rand(2..4), left].min.tap { |size| left -= size } while left.positive?
          sizes
        end
      end

      # The groups each arrangement is built from.
      GROUPS = {
        "die" => ->(dots) { DIE_GROUPS.fetch(dots.total, [dots.total]) },
        "domino" => :parts.to_proc, "tones" => :parts.to_proc, "scattered" => :clusters.to_proc,
        "pairs" => ->(dots) { [*[2] * (dots.total / 2), dots.total % 2] },
        "ring" => ->(dots) { dots.total > 5 ? [(dots.total / 2.0).ceil, dots.total / 2] : [dots.total] }
      }.freeze
      private_constant :GROUPS

      private

      def group(index) = parts.size == 2 && index >= parts[0] ? 1 : 0
      def tone(index) = arrangement == "tones" && group(index) == 1 ? :b : :a

      def places
        case arrangement
        when "die" then die(parts[0], 0)
        when "domino" then die(parts[0], 0) + die(parts[1], SIDE)
        when "pairs" then paired
        when "ring" then ringed
        when "tones" then (0...total).map { |index| [(index % 5) * 1.1, (index / 5) * 1.1] }
        else scattered
        end
      end

      # In the middle of its tile.
      def die(number, left)
        edge = (SIDE - 2 - PIP) / 2
        DIE.fetch(number).map { |column, row| [left + edge + column, edge + row] }
      end

      def tiles = { "die" => 1, "domino" => 2 }.fetch(arrangement, 0)
      def cards = (0...tiles).map { |index| mark(:tile, x: index * SIDE, y: 0, width: SIDE, height: SIDE) }

      # Pairs side by side, an odd one on top.
      def paired
        odd = total % 2
        below = (0...(total / 2)).flat_map { |row| [[0, row + odd], [1, row + odd]] }
        odd.zero? ? below : below + [[0.5, 0]]
      end

      # One alone lies where the middle is.
      def ringed
        return [[0, 0]] * total if total < 2

        radius = [total * 0.26, 1.1].max
        angles = (0...total).map { |index| (2 * Math::PI * index / total) - (Math::PI / 2) }
        angles.map { |angle| [radius + (radius * Math.cos(angle)), radius + (radius * Math.sin(angle))] }
      end

      def scattered
        random = Random.new(@seed + 1)
        clusters.each_with_index.flat_map { |size, index| cluster(size, index, random) }
      end

      def cluster(size, index, random)
        left, top = (index % 3) * 3.0, (index / 3) * 2.6
        turn = random.rand * Math::PI
        angles = (0...size).map { |each| turn + (2 * Math::PI * each / size) }
        angles.map { |angle| [left + 0.8 + (Math.cos(angle) * 0.75), top + 0.8 + (Math.sin(angle) * 0.75)] }
      end
    end
  end
end
