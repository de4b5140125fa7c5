# frozen_string_literal: true

module Drawings
  # The things of the stories, each drawn in a square of 48: a silhouette in the tone of its part, filled for A and outlined
  # for B. Closed paths are filled, open ones are lines on them. A thing without a drawing of its own is a counter.
  module Thing
    PERSON = ["M24 4a7.5 7.5 0 1 1 0 15a7.5 7.5 0 1 1 0-15z", "M10 44c0-15 5-22 14-22s14 7 14 22z"].freeze
    SHAPES = {
      "apples" => ["M24 14c-4-4-16-3-16 10c0 11 7 19 12 19c2 0 3-1 4-1s2 1 4 1c5 0 12-8 12-19c0-13-12-14-16-10z", "M24 14c0-5 2-8 5-10"],
      "bakery" => ["M5 31c0-13 8-19 19-19s19 6 19 19c0 4-3 6-6 6H11c-3 0-6-2-6-6z", "M15 19l5 6M24 16l5 7M33 20l3 5"],
      "boats" => ["M5 31h38l-6 12H12z", "M23 5v23H10z", "M26 10l12 18H26z"],
      "bus" => PERSON, "ferry" => PERSON,
      "buttons" => ["M24 6a18 18 0 1 1 0 36a18 18 0 1 1 0-36z", "M19 19h.1M29 19h.1M19 29h.1M29 29h.1"],
      "gulls" => ["M3 20c8-7 15-6 21 4c6-10 13-11 21-4c-9-1-15 4-21 14c-6-10-12-15-21-14z"],
      "kites" => ["M24 3 40 20 24 39 8 20z", "M24 3v36M8 20h32", "M24 39c-4 3 3 5-2 8"],
      "lanterns" => ["M24 2v7", "M9 26a15 14 0 1 0 30 0a15 14 0 1 0-30 0z", "M18 9h12v4H18zM18 39h12v4H18z", "M24 13v26M17 14c-4 7-4 17 0 24M31 14c4 7 4 17 0 24"],
      "library" => ["M8 6h30v36H8z", "M14 6v36M20 15h12M20 22h12"],
      "mittens" => ["M15 36V17c0-8 4-12 9-12s9 4 9 12v3c3-5 9-3 8 2c-1 4-5 8-8 11v3z", "M14 36h20v8H14z"],
      "shells" => ["M24 44c-4 0-6-2-6-5C8 32 5 24 8 15c4-10 28-10 32 0c3 9 0 17-10 24c0 3-2 5-6 5z", "M24 39V9M19 39 12 13M29 39l7-26"],
      "tide_pool" => ["M9 27c0-8 7-12 15-12s15 4 15 12s-7 13-15 13s-15-5-15-13z", "M11 20C5 18 4 10 9 6M37 20c6-2 7-10 2-14M9 33l-6 4M39 33l6 4M12 38l-4 6M36 38l4 6", "M19 24h.1M29 24h.1"]
    }.freeze

    module_function

    # @param name [String] the context it belongs to ("kites")
    # @param tone [Symbol] :a or :b
    # @return [String] SVG
    def draw(name, tone)
      colours = tone == :a ? { fill: Shapes::A, stroke: Shapes::A_EDGE } : { fill: Shapes::PAPER, stroke: Shapes::B }
      shapes = SHAPES[name]
      return Svg.tag(:circle, cx: 24, cy: 24, r: 16, stroke_width: tone == :a ? 2 : 5, **colours) unless shapes

      Svg.tag(:g, shapes.map { |path| stroke(path) }.join, stroke_width: tone == :a ? 2 : 3, stroke_linejoin: "round", stroke_linecap: "round", **colours)
    end

    # A dot drawn as a line of no length is a button's hole or an eye.
    def stroke(path)
      return Svg.tag(:path, d: path) if path.end_with?("z")

      Svg.tag(:path, d: path, fill: "none", stroke_width: path.include?("h.1") ? 5 : 1.8)
    end
  end
end
