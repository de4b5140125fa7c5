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
        def of(_problem, **) = nil
        def act(_path, _problem, **) = []

        # A picture from plain numbers and whichever settings it knows: Frame.from([9, 5], fill: :pairs)
        # @raise [Error::Unknown] for a setting it does not have
        def from(numbers, **settings)
          known = instance_method(:initialize).parameters.filter_map { |kind, name| name if %i[key keyreq].include?(kind) }
          strange = settings.keys - known
          raise Error::Unknown, "a #{title.downcase} has no “#{strange.first}”; it has #{known.empty? ? 'no settings' : known.join(', ')}" if strange.any?

          new(numbers, **settings)
        end
      end

      def ways = []

      private

      # @raise [Error::Unknown] where a setting is none of its choices
      def one_of(choices, chosen)
        choices.include?(chosen) ? chosen : raise(Error::Unknown, "“#{chosen}” is none of #{choices.join(', ')}")
      end

      def refuse(reason) = raise(Error::NotAProblem, reason)
      def mark(shape, **rest) = Mark.new(shape: shape, **rest)
      def number(text, x, y, **rest) = mark(:number, x: x, y: y, text: text.to_s, **rest)

      # A layout as wide and as high as its marks.
      def lay(marks, alt)
        Layout.new(width: marks.map { |each| each.x + each.width }.max || 1, height: marks.map { |each| each.y + each.height }.max || 1, marks: marks, alt: alt)
      end
    end
  end
end
