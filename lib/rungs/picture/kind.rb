# frozen_string_literal: true

module Rungs
  module Picture
    # What all kinds of picture share. A kind says its id, its title and what it can do; here is what it need not say.
    module Kind
      def self.included(kind) = kind.extend(Naming)

      # The catalogue's side of a kind.
      module Naming
        def id = name.split("::").last.downcase
        def title = id.capitalize

        # @return [String, nil] the setting by which a class calls it
        def called_by = nil

        def of(_problem, **) = nil

        # What a picture of this kind may be told beside its numbers.
        # @return [Array<Symbol>]
        def settings(*names) = names.empty? ? @settings.to_a : @settings = names.freeze

        # The scenes of a move, one after the other; a kind acts out what it has a stage for.
        # @param path [Strategy::Path]
        # @return [Array<Layout>]
        def act(path, problem, **settings)
          return [] unless acts?(path, problem)

          scenes = path.scenes
          pictures = scenes.map { |scene| stage(scene, largest: scenes.map(&:total).max, **settings) }
          pictures.all? ? pictures.map(&:layout) : []
        end

        # Whether acting that move out on this kind makes sense at all.
        def acts?(_path, _problem) = true

        # @param scene [Strategy::Acting::Scene]
        # @param largest [Integer] how many there are at most, in any of the scenes
        # @return [Kind, nil] the picture of one scene; nil where this kind cannot show it
        def stage(_scene, **) = nil

        # A picture from plain numbers and whichever settings it knows: Frame.from([9, 5], fill: :pairs)
        # @raise [Error::Unknown] for a setting it does not have
        def from(numbers, **chosen)
          strange = chosen.keys - settings
          if strange.any?
            has = settings.empty? ? "no settings" : settings.join(", ")
            raise Error::Unknown, "#{title.downcase}: no “#{strange.first}”; there are #{has}"
          end

          new(numbers, **chosen)
        end
      end

      # @return [Array<Way>] none where nothing is to be seen in groups
      def ways = []

      private

      # @raise [Error::Unknown] where a setting is none of its choices
      def one_of(choices, chosen, what = "setting")
        return chosen if choices.include?(chosen)

        raise Error::Unknown, "“#{chosen}” is no #{what}; there are #{choices.compact.join(', ')}"
      end

      HIDDEN = { whole: 0, first: 1, second: 2, third: 3 }.freeze

      # Which number is hidden, as a number or by its name.
      # @return [Integer, nil]
      def hidden_place(parts, hidden)
        place = HIDDEN.fetch(hidden, hidden)
        return place if place.nil? || (place.is_a?(Integer) && place.between?(0, parts.size))

        names = HIDDEN.keys.take(parts.size + 1)
        raise Error::Unknown,
              "“#{hidden}” cannot be hidden here; hide #{names[0...-1].join(', ')} or #{names.last} (0 to " \
              "#{parts.size})"
      end

      def refuse(reason) = raise(Error::NotAProblem, reason)
      def mark(shape, **rest) = Mark.new(shape: shape, **rest)
      def number(text, x, y, **rest) = mark(:number, x: x, y: y, text: text.to_s, **rest)

      # A mat for nothing, so that none is seen to be there.
      def mat(x = 0, y = 0, width: 5, height: 1.6) = mark(:mat, x: x, y: y, width: width, height: height)

      # A layout as wide and as high as its marks, which lie from 0 on; of nothing, an empty mat.
      def lay(marks, alt)
        marks = [mat] if marks.empty?
        left, top = [marks.map(&:x).min, 0].min, [marks.map(&:top).min, 0].min
        marks = marks.map { |each| each.shifted(-left, -top) } if left.negative? || top.negative?
        right, bottom = marks.map { |each| each.x + each.width }.max, marks.map { |each| each.y + each.height }.max
        Layout.new(width: right, height: bottom, marks: marks, alt: alt, kind: self)
      end
    end
  end
end
