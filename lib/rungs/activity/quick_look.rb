# frozen_string_literal: true

module Rungs
  module Activity
    # A picture shown for a moment, then covered: how many, and how did you see it? (guide 8)
    #
    #   QuickLook.set(to: 10, count: 8, random: Random.new(3)).map(&:number)
    class QuickLook
      # An arrangement: its largest number, how it shows one (nil where it cannot), and whether it stands empty for
      # none.
      Arrangement = Struct.new(:id, :most, :shows, :empty, keyword_init: true) do
        def show(number, random) = number <= most ? shows.call(number, random) : nil
        def title = id.tr("_", " ")
      end

      # How many can be seen at a glance, by how they lie.
      DOTS = { "die" => 6, "domino" => 12, "scattered" => 7, "ring" => 6, "tones" => 10, "pairs" => 10 }.freeze

      ARRANGEMENTS = Catalogue.new("arrangement", [
        *DOTS.map do |id, most|
          Arrangement.new(id: id, most: most, shows: lambda { |number, random|
            Picture::Dots.arranged(id, number, random: random)
          })
        end,
        Arrangement.new(id: "frame", most: 30, empty: true, shows: ->(number, _) { Picture::Frame.new([number]) }),
        Arrangement.new(id: "frame_pairs", most: 20, empty: true, shows: lambda { |number, _|
          Picture::Frame.new([number], fill: :pairs)
        }),
        Arrangement.new(id: "rack", most: 20, empty: true, shows: lambda { |number, _|
          Picture::Rack.new(number <= 10 ? [number] : [10, number - 10], card: true)
        }),
        Arrangement.new(id: "fingers", most: 10, shows: ->(number, _) { Picture::Fingers.new([number]) })
      ])

      MOST = 30
      # The first look is easy, and a longer set has nothing to see once, for the surprise.
      EASY_TO = 5
      WITH_ZERO = 8
      # So many looks one after the other are of different numbers, while there are others.
      APART = 10
      # One less than these is seen as that.
      ONE_LESS = [5, 10, 20].freeze

      attr_reader :number, :arrangement, :picture, :seed

      # @param to [Integer] the largest number, 1 to 30
      # @param count [Integer] how many looks
      # @param random [Random]
      # @param from [Integer] the smallest; 0 is possible
      # @param arrangements [Array<String>] to choose from
      # @return [Array<QuickLook>] no number twice in ten while others are left, the first to five, of the others half
      #   above half of the range, nothing once where there are eight or more
      # @raise [Error] for a range or an arrangement there is not
      def self.set(to:, random:, count: 8, from: 0, arrangements: ARRANGEMENTS.ids)
        unless from.between?(0, MOST - 1) && to.between?(from + 1, MOST)
          raise Error::NotAProblem, "quick looks show 0 to #{MOST}; give a range with at least two numbers in it"
        end

        choices = choices(from, to, arrangements.map { |id| ARRANGEMENTS.fetch(id) })
        if choices.keys.count(&:positive?) < 2
          raise Error::TooMany, "#{arrangements.join(', ')} can show only #{choices.keys.join(' and ')} of the " \
                                "numbers #{from} to #{to}; " \
                                "two that can be seen are needed"
        end

        draw(choices, count, to / 2.0, random)
      end

      # Every number with the arrangements that can show it.
      def self.choices(from, to, arrangements)
        able = lambda do |number|
          arrangements.select { |each| number.zero? ? each.empty : each.show(number, Random.new(1)) }
        end
        (from..to).to_h { |number| [number, able.call(number).map(&:id)] }.reject { |_, ids| ids.empty? }
      end

      # Half of those after the first are high, wherever they come: sooner where it would else be too late, and where
      # the numbers come round again.
      def self.draw(choices, count, half, random)
        nothing = random.rand(1...count) if count >= WITH_ZERO && choices.key?(0)
        again = count - choices.size
        (0...count).each_with_object([]) do |place, looks|
          high = (count / 2) - looks.drop(1).count { |look| look.number > half }
          left = ([*place...count] - [nothing]).size
          wanted = place <= again || (high * 2) + random.rand(0..1) > left ? (half.floor + 1..) : (1..)
          wanted = 1..[EASY_TO, half].min if place.zero?
          number = place == nothing ? 0 : next_number(choices, wanted, looks, random)
          names = choices[number]
          names -= [looks.last.arrangement] if looks.any? && names.size > 1
          looks << again(number, names.sample(random: random), random.rand(1_000_000))
        end
      end

      # One that was not seen of late, of those wanted where there is one.
      def self.next_number(choices, wanted, looks, random)
        numbers = choices.keys.select(&:positive?)
        seen = looks.map(&:number).select(&:positive?)
        fresh = numbers - seen.last([APART, numbers.size].min - 1)
        fitting = fresh.select { |each| wanted.cover?(each) }
        (fitting.empty? ? fresh : fitting).sample(random: random)
      end
      private_class_method :choices, :draw, :next_number

      # The same look as before, from what was kept of it.
      def self.again(number, arrangement, seed)
        new(number, arrangement, seed, ARRANGEMENTS.fetch(arrangement).show(number, Random.new(seed)))
      end

      def initialize(number, arrangement, seed, picture)
        @number = number
        @arrangement = arrangement
        @seed = seed
        @picture = picture
        freeze
      end

      # @return [Array<Picture::Way>] those that children say: over ten always ten and some; one less than five, ten or
      #   twenty
      def ways
        told = picture.ways
        told = [Picture::Way.sum(10, number - 10), *told] if number > 10
        told += [Picture::Way.less(number + 1, 1)] if ONE_LESS.include?(number + 1)
        told.uniq(&:text)
      end

      # A way a child saw it, as the groups that were tapped; the expression writes itself.
      # @param groups [Array<Array<Integer>>] the orders of the marks, each in one group
      # @param turned ["two", "one"] whether 2 + 3 is another way than 3 + 2
      # @return [Picture::Way] "3 + 2 = 5"
      # @raise [Error::NotAProblem] where something is in no group, or in two
      def seen(groups, turned: "two")
        groups = groups.reject(&:empty?)
        groups = groups.sort_by { |group| -group.size } if turned == "one"
        check(groups)
        Picture::Way.new(text: groups.empty? ? "none = 0" : "#{groups.map(&:size).join(' + ')} = #{number}",
                         groups: groups)
      end

      # Seen by what is missing: a frame of ten with seven is 10 − 3.
      # @raise [Error::NotAProblem] where nothing shows what is missing
      def seen_missing
        raise Error::NotAProblem, "only an open frame shows what is missing" unless size > number

        Picture::Way.new(text: "#{size} − #{size - number} = #{number}", groups: [])
      end

      # @return [Integer] how many places a frame has; 0 where there is none
      def size = picture.respond_to?(:size) ? picture.size : 0
      def to_h = { number: number, arrangement: arrangement, ways: ways.map(&:text), alt: picture.layout.alt }

      private

      def check(groups)
        taken = groups.flatten
        left = number - taken.uniq.size
        refuse("#{groups.map(&:size).join(' + ')} is #{taken.size}, and there are #{number}") if taken.size > number
        once = taken.uniq.size == taken.size && taken.all? { |order| order.between?(1, number) }
        refuse("each is in one group only, and there are #{number}") unless once
        refuse("#{left == 1 ? '1 is' : "#{left} are"} in no group yet") if left.positive?
      end

      def refuse(reason) = raise(Error::NotAProblem, reason)
    end
  end
end
