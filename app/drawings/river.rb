# frozen_string_literal: true

module Drawings
  # A class over the weeks as a river of the five tints: how many children work on which rung, the lowest at the bottom,
  # with the last numbers at its right edge. Every river is as high as another, whatever its class.
  class River
    WIDTH = 360
    HEIGHT = 150
    EDGE = 34
    FOOT = 22
    TOP = 6

    # @param weeks [Array<Array<Integer>>] by week, how many on each rung, 1 to 5
    # @param from, to [String] what stands below both ends
    def initialize(weeks, from:, to:)
      @weeks = weeks
      # Before anybody was heard there is no river.
      @first = weeks.index { |counts| counts.sum.positive? } || (weeks.size - 1)
      @from = from
      @to = to
    end

    def draw(label:)
      Svg.picture(WIDTH + EDGE, HEIGHT + FOOT, streams + numbers + ends, label: label, css: "river")
    end

    private

    def x(week) = WIDTH * week / [@weeks.size - 1, 1].max.to_f

    # Where the streams of a week begin and end, from the bottom up.
    def levels(counts)
      total = counts.sum
      high = HEIGHT - TOP
      sums = counts.each_with_object([0]) { |count, all| all << (all.last + count) }
      sums.map { |sum| HEIGHT - (total.zero? ? 0 : high * sum / total.to_f) }
    end

    def streams
      edges = @weeks.drop(@first).map { |counts| levels(counts) }
      places = (@first...@weeks.size).map { |week| x(week) }
      # One week alone is as broad as one.
      edges, places = edges * 2, [x([@first - 1, 0].max), WIDTH] if edges.one?
      (0..4).map { |rung| stream(rung, edges, places) }.join
    end

    def stream(rung, edges, places)
      low = places.zip(edges.map { |levels| levels[rung] })
      high = places.zip(edges.map { |levels| levels[rung + 1] })
      points = (low + high.reverse).map { |x, y| "#{Svg.number(x.to_f)},#{Svg.number(y.to_f)}" }.join(" ")
      Svg.tag(:polygon, points: points, fill: Timeline::TINTS[rung], stroke: "#0D4F47", stroke_width: 0.6)
    end

    def numbers
      edges = levels(@weeks.last)
      @weeks.last.each_with_index.filter_map do |count, rung|
        next if count.zero?

        y = ((edges[rung] + edges[rung + 1]) / 2) + 5
        Svg.text(count, x: WIDTH + 8, y: y, font_size: 15, fill: Timeline::INK, font_family: Shapes::FONT)
      end.join
    end

    def ends
      plain = { y: HEIGHT + 16, font_size: 13, fill: "#55617A" }
      Svg.text(@from, x: 0, **plain) + Svg.text(@to, x: WIDTH, text_anchor: "end", **plain)
    end
  end
end
