# frozen_string_literal: true

module Rungs
  module Activity
    # A picture shown for a moment, then covered: how many, and how did you see it? (field guide 8)
    #
    #   QuickLook.set(to: 10, count: 8, random: Random.new(3)).map(&:number)
    class QuickLook
      # How each arrangement shows a number; nil where it cannot.
      ARRANGEMENTS = {
        **Picture::Dots::ARRANGEMENTS.to_h { |name| [name, ->(number, random) { Picture::Dots.arranged(name, number, random: random) }] },
        "frame" => ->(number, _) { Picture::Frame.new([number]) if number <= 20 },
        "frame_pairs" => ->(number, _) { Picture::Frame.new([number], fill: :pairs) if number <= 20 },
        "rack" => ->(number, _) { Picture::Rack.new(number <= 10 ? [number] : [10, number - 10]) if number <= 20 },
        "fingers" => ->(number, _) { Picture::Fingers.new([number]) if number <= 10 }
      }.freeze

      attr_reader :number, :arrangement, :picture, :seed

      # @param to [Integer] the largest number, 1 to 20
      # @param count [Integer] how many looks
      # @param random [Random]
      # @param from [Integer] the smallest; 0 is possible
      # @param arrangements [Array<String>] to choose from
      # @return [Array<QuickLook>] no two neighbours with the same number, and not nothing at first
      # @raise [Error] for a range or an arrangement there is not
      def self.set(to:, random:, count: 8, from: 0, arrangements: ARRANGEMENTS.keys)
        raise Error::NotAProblem, "quick looks show 0 to 20; give a range with at least two numbers in it" unless from.between?(0, 19) && to.between?(from + 1, 20)

        unknown = arrangements - ARRANGEMENTS.keys
        raise Error::Unknown, "there is no arrangement “#{unknown.first}”; there are #{ARRANGEMENTS.keys.join(', ')}" if unknown.any? || arrangements.empty?

        choices = choices(from, to, arrangements)
        raise Error::TooMany, "#{arrangements.join(', ')} can show only #{choices.size} of the numbers #{from} to #{to}; two are needed" if choices.size < 2

        draw(choices, count, random)
      end

      # Every number with the arrangements that can show it.
      def self.choices(from, to, arrangements)
        (from..to).to_h { |number| [number, arrangements.select { |name| ARRANGEMENTS[name].call(number, Random.new(1)) }] }.reject { |_, names| names.empty? }
      end

      def self.draw(choices, count, random)
        (1..count).each_with_object([]) do |_, looks|
          number = choices.keys.reject { |each| looks.empty? ? each.zero? : looks.last.number == each }.sample(random: random)
          names = choices[number]
          names = names.reject { |name| looks.last && looks.last.arrangement == name } if names.size > 1
          name = names.sample(random: random)
          looks << again(number, name, random.rand(1_000_000))
        end
      end
      private_class_method :choices, :draw

      # The same look as before, from what was kept of it.
      def self.again(number, arrangement, seed) = new(number, arrangement, seed, ARRANGEMENTS.fetch(arrangement).call(number, Random.new(seed)))

      def initialize(number, arrangement, seed, picture)
        @number = number
        @arrangement = arrangement
        @seed = seed
        @picture = picture
        freeze
      end

      # A way a child saw it, as the groups that were tapped; the expression writes itself.
      # @param groups [Array<Array<Integer>>] the orders of the marks, each in one group
      # @param turned ["two", "one"] whether 2 + 3 is another way than 3 + 2
      # @return [Picture::Way] "3 + 2 = 5"
      # @raise [Error::NotAProblem] where something is in no group, or in two
      def seen(groups, turned: "two")
        groups = groups.reject(&:empty?)
        groups = groups.sort_by { |group| -group.size } if turned == "one"
        taken = groups.flatten
        left = number - taken.uniq.size
        raise Error::NotAProblem, "#{groups.map(&:size).join(' + ')} is #{taken.size}, and there are #{number}" if taken.size > number
        raise Error::NotAProblem, "each is in one group only, and there are #{number}" unless taken.uniq.size == taken.size && taken.all? { |order| order.between?(1, number) }
        raise Error::NotAProblem, "#{left == 1 ? '1 is' : "#{left} are"} in no group yet" if left.positive?

        Picture::Way.new(text: groups.empty? ? "none = 0" : "#{groups.map(&:size).join(' + ')} = #{number}", groups: groups)
      end

      # Seen by what is missing: a frame of ten with seven is 10 − 3.
      # @raise [Error::NotAProblem] where nothing shows what is missing
      def seen_missing
        size = picture.respond_to?(:size) ? picture.size : 0
        raise Error::NotAProblem, "only an open frame shows what is missing" unless size > number

        Picture::Way.new(text: "#{size} − #{size - number} = #{number}", groups: [])
      end

      def to_h = { number: number, arrangement: arrangement, ways: picture.ways.map(&:text), alt: picture.layout.alt }
    end
  end
end
