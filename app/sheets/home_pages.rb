# frozen_string_literal: true

module Sheets
  # A page for home each: what we do, a game with things from a kitchen table, how to ask, and a strip to write back on.
  class HomePages < ForEach
    entry id: "home", title: "A page for home", for_whom: :family

    def self.each_of(source) = source.homes

    NAMED = "For home"
    # name: whose. advice: a Rungs::Planning::AtHome.
    Home = Struct.new(:name, :advice, keyword_init: true)
    STRIP = "Tell us, if you like: what did your child say?"
    # Millimetres of the strip that is cut off.
    HIGH = 46

    private

    def draw(home)
      y = paper.words("For #{home.name} and family", size: 22) + 6
      y += paper.words(home.advice.doing, y: y, size: 15, leading: 4) + 8
      { "To play at home" => home.advice.game, "Then with other numbers" => home.advice.others,
        "How to ask" => Rungs::Planning::AtHome::ASK }.each { |heading, words| y = part(heading, words, y) }
      paper.small(home.advice.caution, y: y, size: 11)
      strip(home.name)
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
