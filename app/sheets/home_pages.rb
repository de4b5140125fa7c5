# frozen_string_literal: true

module Sheets
  # A page for home each: what we do, a game with things from a kitchen table, how to ask, and a strip to write back on.
  class HomePages < Sheet
    entry id: "home", title: "A page for home", for_whom: :family

    def self.drawn_from(source, chosen)
      homes = source.homes
      { homes: chosen[:first] ? homes.first(1) : homes, where: source.where, title: "For home" }
    end

    # name: whose. told: a Rungs::Planning::AtHome.
    Home = Struct.new(:name, :told, keyword_init: true)
    STRIP = "Tell us, if you like: what did your child say?"
    # Millimetres of the strip that is cut off.
    HIGH = 46

    # @param homes [Enumerable<Home>] drawn one by one
    # @param where [String] class and school
    # @raise [Rungs::Error::NotAProblem]
    def initialize(homes:, where: "", **sheet)
      raise Rungs::Error::NotAProblem, "there is nobody on the list yet" if homes.none?

      super(**sheet, name: false)
      @homes = homes
      @where = where
    end

    private

    def foot = @where

    def body
      @homes.each_with_index do |home, page|
        paper.turn if page.positive?
        y = paper.words("For #{home.name} and family", size: 22) + 6
        y += paper.words(home.told.doing, y: y, size: 15, leading: 4) + 8
        { "To play at home" => home.told.game, "Then with other numbers" => home.told.others,
          "How to ask" => Rungs::Planning::AtHome::ASK }.each { |heading, words| y = part(heading, words, y) }
        paper.small(home.told.caution, y: y, size: 11)
        strip(home.name)
      end
    end

    # @return [Float] where the next begins
    def part(heading, words, y)
      return y if words.empty?

      y += paper.small(heading, y: y, size: 11, bold: true) + 1
      y + paper.words(words, y: y, size: 15, leading: 4) + 7
    end

    # To be cut off and brought back.
    def strip(name)
      top = paper.height - HIGH
      paper.line(0, top, paper.width, top, dashed: true)
      paper.words("#{name}: #{STRIP}", y: top + 4, size: 13)
      [20, 32, 44].each { |down| paper.line(0, top + down, paper.width, top + down) }
    end
  end
end
