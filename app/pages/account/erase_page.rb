# frozen_string_literal: true

module Pages
  module Account
    # What would go for good with a child, and a name to type.
    class ErasePage < Shared::Page
      view :"account/erase"

      WORDS = { records: %w[record records], photos: %w[photo photos], ways: ["way given", "ways given"],
                notes: %w[note notes], home: ["strip from home", "strips from home"] }.freeze

      attr_reader :child, :trouble

      # @param trouble [String, nil] why nothing was erased
      def initialize(visitor, child, trouble: nil)
        super(visitor)
        @child = child
        @trouble = trouble
      end

      def title = "Erase #{child.name}"
      def margin = nil
      def stories = erasing.stories

      # "12 records, 1 photo and a note"
      def goes_with
        there = erasing.amounts.select { |_, many| many.positive? }
        told = there.map { |what, many| plural(many, *WORDS.fetch(what)) }
        told.empty? ? "no records" : [told[0...-1].join(", "), told.last].reject(&:empty?).join(" and ")
      end

      private

      def erasing = @erasing ||= Records::Erasing.new(child)
    end
  end
end
