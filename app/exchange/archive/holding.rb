# frozen_string_literal: true

module Exchange
  module Archive
    # What of a class a file holds.
    #
    #   id: one of IDS. children: Array<Records::Child>, whom it is about; nil: everybody. lists: Array<Symbol>, of
    #   Lists::ALL; nil: all. days: Range<Date> of what is planned. estimates: whether where each child is goes along,
    #   in words, in the place of the records.
    Holding = Struct.new(:id, :children, :lists, :days, :estimates, keyword_init: true) do
      # @return [Holding] all of it
      def self.whole = new(id: "class")

      # What a family may ask for.
      def self.child(child) = new(id: "child", children: [child])

      # What a teacher hands over.
      # @param records [Boolean] every answer; else only where each child is
      # @param photos [Boolean] of drawings, with the records they belong to
      def self.handed(children, records: true, photos: true)
        lists = self::KNOWN + (records ? self::HEARD : []) + (records && photos ? [:photos] : [])
        new(id: "children", children: children, lists: lists, estimates: !records)
      end

      # @param days [Range<Date>]
      def self.plans(days) = new(id: "plans", children: [], lists: self::PLANNED, days: days)

      # What its teachers wrote themselves, for a colleague.
      def self.own = new(id: "own", children: [], lists: [:own])

      # Whether it goes to somebody who knows none of the children.
      def for_colleague? = !days.nil? || id == "own"

      def whole? = id == "class"
      def list?(name) = lists.nil? || lists.include?(name)
    end
    Holding::IDS = %w[class child children plans own].freeze
    Holding::KNOWN = %i[children came_with].freeze
    Holding::HEARD = %i[lessons problems observations home_answers].freeze
    Holding::PLANNED = %i[weeks lessons lesson_parts].freeze
  end
end
