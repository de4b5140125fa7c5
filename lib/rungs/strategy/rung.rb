# frozen_string_literal: true

module Rungs
  module Strategy
    # One of the five rungs (guide 4). A rung describes one answer to one problem; it is not a grade for a
    # child. title: its name. short: as it stands in a list. doing: "works mostly by …". looks_like: what is seen.
    Rung = Struct.new(:level, :id, :title, :short, :doing, :looks_like, keyword_init: true) do
      def to_s = title
    end

    Rung::ALL = Catalogue.new("rung", [
      { level: 1, id: "count_all", title: "Count all", short: "count all", doing: "counting all",
        looks_like: "makes every set, touches each thing, starts from one" },
      { level: 2, id: "count_on", title: "Count on", short: "count on", doing: "counting on",
        looks_like: "holds one number in the head and counts the rest, up or back" },
      { level: 3, id: "part_whole", title: "Part–whole", short: "part–whole", doing: "part–whole",
        looks_like: "breaks a number into parts or uses a fact beside it" },
      { level: 4, id: "make_ten", title: "Make ten", short: "make ten", doing: "making ten",
        looks_like: "goes through ten on purpose, up or back" },
      { level: 5, id: "known_fact", title: "Known fact", short: "known", doing: "known facts",
        looks_like: "says it at once, and can say why when asked" }
    ].map { |entry| Rung.new(**entry).freeze })

    Rung::BY_LEVEL = Rung::ALL.to_h { |rung| [rung.level, rung] }.freeze

    # @return [Rung] by its height on the ladder, 1..5
    # @raise [Error::Unknown]
    def Rung.at(level) = Rung::BY_LEVEL.fetch(level) { raise Error::Unknown, "there is no rung #{level}" }

    # @param among [Array<Integer>] the rungs there are on these numbers; one that is not among them is told by its
    #   neighbours
    # @yield [Rung] → its word
    # @return [String]
    def Rung.word(level, among:)
      (among.include?(level) ? [level] : [level - 1, level + 1]).map { |each| yield at(each) }.join(" and ")
    end
  end
end
