# frozen_string_literal: true

module Drawings
  # The things of the stories, each drawn in a square of 48: a silhouette in the tone of its part, filled for A and outlined
  # for B. A thing without a drawing of its own is a counter.
  module Thing
    SHAPES = {
      "lanterns" => ["M24 2v7", "M9 26a15 14 0 1 0 30 0a15 14 0 1 0-30 0z", "M18 9h12v4H18zM18 39h12v4H18z", "M24 13v26M17 14c-4 7-4 17 0 24M31 14c4 7 4 17 0 24"],
      "kites" => ["M24 4 38 20 24 38 10 20z", "M24 38c-4 3 3 5-2 8"],
      "bakery" => ["M6 30c0-12 8-18 18-18s18 6 18 18c0 4-3 6-6 6H12c-3 0-6-2-6-6z", "M17 19l4 5M26 18l4 5"],
      "ferry" => ["M24 5a7 7 0 1 1 0 14a7 7 0 1 1 0-14z", "M11 43c0-14 5-21 13-21s13 7 13 21z"]
    }.freeze

    module_function

    # @param name [String] the context it belongs to ("kites")
    # @param tone [Symbol] :a or :b
    # @return [String] SVG
    def draw(name, tone)
      colours = tone == :a ? { fill: Picture::A, stroke: "#8A4A0A" } : { fill: "#FDFDFB", stroke: Picture::B }
      shapes = SHAPES[name]
      return Svg.tag(:circle, cx: 24, cy: 24, r: 15, stroke_width: tone == :a ? 2 : 5, **colours) unless shapes

      paths = shapes.map { |path| Svg.tag(:path, d: path, fill: (path.match?(/z/i) ? nil : "none"), stroke_width: (path.match?(/z/i) ? nil : 1.6)) }.join
      Svg.tag(:g, paths, stroke_width: tone == :a ? 2 : 3.4, stroke_linejoin: "round", stroke_linecap: "round", **colours)
    end
  end
end
