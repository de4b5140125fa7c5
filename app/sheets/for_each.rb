# frozen_string_literal: true

module Sheets
  # A page for each child, family or the class, in one file. A kind of them says what it draws of one.
  class ForEach < Sheet
    # @param each [Enumerable] what the pages are of, drawn one by one
    # @param where [String] class and school
    # @raise [Rungs::Error::NotAProblem]
    def initialize(each:, where: "", **sheet)
      raise Rungs::Error::NotAProblem, "there is nobody on the list yet" if each.none?

      super(**sheet, name: false)
      @each = each
      @where = where
    end

    # Where only the first page is wanted, one is enough.
    def self.drawn_from(source, chosen)
      each = each_of(source)
      { each: chosen[:first] ? each.first(1) : each, where: source.where, title: self::NAMED }
    end

    private

    def foot = @where

    def body
      @each.each_with_index do |one, page|
        paper.turn if page.positive?
        draw(one)
      end
    end
  end
end
