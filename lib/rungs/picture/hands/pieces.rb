# frozen_string_literal: true

module Rungs
  module Picture
    class Hands
      # A part pressed draws one more out of the whole: it comes from the largest of the others.
      class Pieces
        def initialize(parts)
          @parts = parts
        end

        def layout = @parts.layout
        def places = @parts.open? ? layout.marks.select { |mark| mark.shape == :node }.drop(1) : []

        def press(place)
          numbers = @parts.numbers.dup
          from = (numbers.each_index.to_a - [place]).max_by { |index| [numbers[index], -index] }
          return self if numbers[from].zero?

          numbers[place] += 1
          numbers[from] -= 1
          Pieces.new(@parts.with(numbers))
        end

        def sentence = "#{@parts.numbers.join(' + ')} = #{@parts.numbers.sum}"
      end
    end
  end
end
