# frozen_string_literal: true

require "concurrent/map"

module Drawings
  # The ladder glyph: two rails and five rungs, the lowest k drawn thick. Secure: a bar across both rails at the top lit
  # rung. Emerging: the next rung is dashed. Not enough heard: rails only. It takes the colour of the text around it.
  class Ladder
    WIDTH = 16
    HEIGHT = 28
    LEFT = 3
    RIGHT = 13

    # Each is drawn once: there are few, and a page may hold hundreds.
    DRAWN = Concurrent::Map.new
    private_constant :DRAWN

    # @param level [Integer, nil] 1..5
    def self.draw(level, secure: false, emerging: false, label: nil, css: "ladder")
      DRAWN.compute_if_absent([level, secure, emerging, label, css]) do
        new(level, secure, emerging).draw(label, css).freeze
      end
    end

    # @param estimate [Rungs::Progress::Estimate]
    def self.of(estimate, hidden: false)
      draw(estimate.working, secure: estimate.secure?, emerging: !estimate.emerging.nil?,
                             label: hidden ? nil : name(estimate))
    end

    # "count on, secure": the glyph in words.
    def self.name(estimate)
      return "not enough heard" unless estimate.working

      [estimate.title, estimate.words.known, ("secure" if estimate.secure?),
       ("higher rungs showing" if estimate.emerging)].compact.join(", ")
    end

    def initialize(level, secure, emerging)
      @level = level
      @secure = secure
      @emerging = emerging
    end

    def draw(label, css)
      rungs = @level ? (1..5).map { |rung| rung(rung) }.join : ""
      drawn = Svg.tag(:g, rails + rungs, stroke: "currentColor", fill: "none")
      Svg.picture(WIDTH, HEIGHT, drawn, label: label, css: css)
    end

    private

    def rails
      rail = { y1: 1, y2: HEIGHT - 1, stroke_width: 1.8, opacity: (@level ? nil : 0.35) }
      [LEFT, RIGHT].map { |x| Svg.tag(:line, x1: x, x2: x, **rail) }.join
    end

    def rung(rung)
      y = HEIGHT + 1 - (rung * 5)
      return bar(y) if rung == @level && @secure
      return line(y, 3) if rung <= @level
      return line(y, 2, dash: "2.6 1.4") if @emerging && rung == @level + 1

      line(y, 1, opacity: 0.4)
    end

    def bar(y) = Svg.tag(:line, x1: 0.5, y1: y, x2: WIDTH - 0.5, y2: y, stroke_width: 4.2)

    def line(y, width, dash: nil, opacity: nil)
      Svg.tag(:line, x1: LEFT, y1: y, x2: RIGHT, y2: y, stroke_width: width, stroke_dasharray: dash, opacity: opacity)
    end
  end
end
