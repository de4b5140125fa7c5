# frozen_string_literal: true

module Pages
  module Items
    # The items of a part, each with its numbers, to be changed by hand.
    class Page < Shared::Page
      view :"items/items", tab: "plan"

      attr_reader :part, :trouble

      # @param part [Records::LessonPart]
      # @param trouble [String, nil] why something was not taken
      def initialize(visitor, part, trouble: nil, **asked)
        super(visitor, **asked)
        @part = part
        @trouble = trouble
      end

      def title = "Its numbers: #{part.title}"
      def here = "/items/#{room.id}/#{part.id}"
      def kind = part.items.kind
      def data = part.items.all_data
      def day = part.lesson.held_on

      # @return [Array<Array(String, Integer)>] what each number of an item is, and how it stands; as it was typed where
      #   that was not taken
      def numbers(index) = kind.hand(data[index]).zip(typed(index) || kind.numbers_at(data[index]))

      # What one more would be like.
      # @return [Array<String>] none where no numbers can be given
      def names_of_new = kind.hand(data.last)

      def by_hand?(index) = part.details.by_hand.include?(index)
      def back = part.running? ? "/conduct/#{room.id}" : "/lesson/#{room.id}?day=#{day}"

      private

      def typed(index) = (asked[:numbers] if trouble && asked[:do] == "change" && asked[:item] == index)
    end
  end
end
