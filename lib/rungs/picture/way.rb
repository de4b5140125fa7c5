# frozen_string_literal: true

module Rungs
  module Picture
    # One way of seeing how many there are: the groups it is built from, by the order of their marks, and the
    # expression.
    #
    #   Way.new(text: "5 + 2", groups: [[1, 2, 3, 4, 5], [6, 7]])
    Way = Struct.new(:text, :groups, keyword_init: true) do
      # A sum of the groups as they follow each other: Way.sum(5, 2)
      def self.sum(*sizes)
        start = 0
        groups = sizes.map { |size| [*(start + 1)..(start += size)] }
        new(text: sizes.join(" + "), groups: groups)
      end

      # Of several groupings those with more than one group, each once.
      # @param groupings [Array<Array<Integer>>]
      # @return [Array<Way>]
      def self.sums(*groupings)
        some = groupings.map { |sizes| sizes.reject(&:zero?) }.select { |sizes| sizes.size > 1 }
        some.uniq.map { |sizes| sum(*sizes) }
      end

      # What is there, as a whole less what is missing: Way.less(10, 3)
      def self.less(whole, missing) = new(text: "#{whole} − #{missing}", groups: [[*1..(whole - missing)]])

      # @return [Integer] what the expression comes to
      def total
        text.split(/ (?=[+−])/).sum { |term| term.start_with?("−") ? -term[2..].to_i : term.delete("+ ").to_i }
      end
    end
  end
end
