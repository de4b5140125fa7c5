# frozen_string_literal: true

module Rungs
  class Problem
    # A kind of fact; a fact may belong to several (guide 3.3).
    class Family
      # top: the highest rung worked out by in it; nil where its facts are only counted, since they say nearly nothing
      # of how a child works (guide 10).
      attr_reader :id, :title, :top

      def initialize(id, title, top: 3, &fits)
        @id = id
        @title = title
        @top = top
        @fits = fits
        freeze
      end

      # @param parts [Array<Integer>] two parts, any order; a sum of three is in no family
      def fits?(parts) = parts.size == 2 && @fits.call(*parts.sort)

      def self.of(parts) = ALL.select { |family| family.fits?(parts) }.map(&:id)

      ALL = Catalogue.new("family", [
        new("zero", "with zero", top: nil) { |p, _| p.zero? },
        new("one", "one more, one less", top: nil) { |p, q| p == 1 || q == 1 },
        new("double", "doubles", top: nil) { |p, q| p == q },
        new("near_double", "near doubles", top: 4) { |p, q| q - p == 1 && p >= 2 },
        new("ten_partner", "partners of ten") { |p, q| p + q == 10 },
        new("five_and", "five and some") { |p, q| (p == 5 || q == 5) && p + q <= 10 },
        new("ten_and", "ten and some") { |p, q| (p == 10 || q == 10) && p + q <= 20 },
        new("nine", "with nine", top: 4) { |p, q| (p == 9 || q == 9) && p + q > 10 },
        new("bridge", "through ten", top: 4) { |p, q| Band.of([p, q]) == "bridge" }
      ])
    end
  end
end
