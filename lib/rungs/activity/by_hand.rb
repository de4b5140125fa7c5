# frozen_string_literal: true

module Rungs
  module Activity
    # Numbers of an item that a teacher changes (guide 18). An activity says what they are; its remade makes an item of
    # others, and is nil where it cannot hold them; limits says what it can.
    #
    #   by_hand("here", "there") { |data| data.values_at(:first, :second) }
    #
    #   def limits = "10 together at most"
    #   def remade(data, first, second) = ({ **data, first: first, second: second } if first + second <= 10)
    module ByHand
      # The catalogue's side: what each number is, and where it stands in an item's data.
      module Named
        # @yield [Hash] an item's data → its numbers
        def by_hand(*names, &numbers)
          @hand = names.freeze
          @numbers = numbers
        end

        # @return [Array<String>]
        def hand = @hand.to_a
        def numbers_of(data) = @numbers ? @numbers.call(data) : []
      end

      # Of a number that is typed.
      LARGEST = 1000

      # @return [Array<String>] what each number is; none where there are none to change
      def hand(_data) = self.class.hand

      # @return [Array<Integer>] as they stand, in the same order
      def numbers_at(data) = self.class.numbers_of(data)

      # The item with other numbers.
      # @param data [Hash] of the item
      # @param numbers [Array<Integer>] as many as hand has names
      # @return [Hash] its data
      # @raise [Error::NotAProblem] in a sentence, where the activity cannot hold them
      def with_numbers(data, numbers)
        names = hand(data)
        refuse("There is no number to change here.") if names.empty?
        right = numbers.size == names.size && numbers.all? { |each| each.is_a?(Integer) && each.between?(0, LARGEST) }
        refuse("Give #{names.join(' and ')}, each a number from 0 to #{LARGEST}.") unless right

        remade(data, *numbers) || refuse("#{title} cannot hold #{numbers.join(' and ')} here: #{limits}.")
      end

      private

      # What the numbers of a sentence are, where nothing else is said of them.
      def in_order(sentence)
        ["the first number", "the second", "the third", "the fourth"].first(sentence.scan(/\d+/).size)
      end

      # A sentence with other numbers in the same order.
      # @return [String, nil] nil where it is none then
      def renumbered(sentence, numbers)
        rest = numbers.dup
        text = sentence.gsub(/\d+/) { rest.shift.to_s }
        problem(text.include?("=") ? text.tr("□", "?") : "#{text} = ?")
        text
      rescue Error
        nil
      end

      def remade(_data, *_numbers) = nil
      def limits = "other numbers are needed"
    end
  end
end
