# frozen_string_literal: true

module Drawings
  # The things of the stories, each drawn in a square of 48. One that a story names in a colour has that colour, and
  # each part a pattern of its own: the first plain, the second with an inner line, the third dotted. One without a
  # colour is filled for the first part and outlined for the second. So they are told apart on a grey copy too. A thing
  # without a drawing of its own is a counter.
  module Thing
    SIZE = 48
    COLOURS = { "red" => "#D9513F", "blue" => "#5B7FD1", "green" => "#5FA463", "white" => "#FDFDFB",
                "pink" => "#EFA9BC",
                "yellow" => "#F2C94C" }.freeze
    BOOK = ["M8 6h30v36H8z", "M14 6v36M20 15h12M20 22h12"].freeze
    SHAPES = {
      "apple" => ["M24 14c-4-4-16-3-16 10c0 11 7 19 12 19c2 0 3-1 4-1s2 1 4 1c5 0 12-8 12-19c0-13-12-14-16-10z",
                  "M24 14c0-5 2-8 5-10"],
      "pear" => ["M24 11c-6 0-7 6-8 11c-1 4-6 6-6 12c0 6 6 10 14 10s14-4 14-10c0-6-5-8-6-12c-1-5-2-11-8-11z",
                 "M24 11c0-4 2-6 5-7"],
      "plum" => ["M24 13c11-2 17 6 16 15c-1 9-8 15-16 15S9 37 8 28c-1-9 5-17 16-15z",
                 "M24 13c-3 9-3 20 0 30M24 13c0-4 1-6 3-8"],
      "bun" => ["M5 31c0-13 8-19 19-19s19 6 19 19c0 4-3 6-6 6H11c-3 0-6-2-6-6z", "M15 19l5 6M24 16l5 7M33 20l3 5"],
      "round roll" => ["M24 7a17 17 0 1 1 0 34a17 17 0 1 1 0-34z", "M13 19c7-4 15-4 22 0M12 28c8-4 16-4 24 0"],
      "long roll" => ["M10 17h28c4 0 6 3 6 7s-2 7-6 7H10c-4 0-6-3-6-7s2-7 6-7z", "M12 19l5 9M21 19l5 9M30 19l5 9"],
      "boat" => ["M5 31h38l-6 12H12z", "M23 5v23H10z", "M26 10l12 18H26z"],
      "child" => ["M24 11a7 7 0 1 1 0 14a7 7 0 1 1 0-14z", "M12 45c0-12 5-18 12-18s12 6 12 18z"],
      "grown-up" => ["M24 2a7 7 0 1 1 0 14a7 7 0 1 1 0-14z", "M9 46c0-18 5-28 15-28s15 10 15 28z", "M15 31h18"],
      "seat" => ["M12 5h6v22h20v6H12z", "M14 33h4v11h-4zM33 33h4v11h-4z"],
      "button" => ["M24 6a18 18 0 1 1 0 36a18 18 0 1 1 0-36z", "M19 19h.1M29 19h.1M19 29h.1M29 29h.1"],
      "gull" => ["M3 20c8-7 15-6 21 4c6-10 13-11 21-4c-9-1-15 4-21 14c-6-10-12-15-21-14z"],
      "kite" => ["M24 3 40 20 24 39 8 20z", "M24 3v36M8 20h32", "M24 39c-4 3 3 5-2 8"],
      "lantern" => ["M24 2v7", "M9 26a15 14 0 1 0 30 0a15 14 0 1 0-30 0z", "M18 9h12v4H18zM18 39h12v4H18z",
                    "M24 13v26M17 14c-4 7-4 17 0 24M31 14c4 7 4 17 0 24"],
      "book" => BOOK, "big book" => BOOK, "small book" => ["M14 17h20v26H14z", "M18 17v26M22 24h8M22 29h8"],
      "mitten" => ["M15 36V17c0-8 4-12 9-12s9 4 9 12v3c3-5 9-3 8 2c-1 4-5 8-8 11v3z", "M14 36h20v8H14z"],
      "shell" => ["M24 44c-4 0-6-2-6-5C8 32 5 24 8 15c4-10 28-10 32 0c3 9 0 17-10 24c0 3-2 5-6 5z",
                  "M24 39V9M19 39 12 13M29 39l7-26"],
      "crab" => ["M9 27c0-8 7-12 15-12s15 4 15 12s-7 13-15 13s-15-5-15-13z", "M19 24h.1M29 24h.1",
                 "M11 20C5 18 4 10 9 6M37 20c6-2 7-10 2-14M9 33l-6 4M39 33l6 4M12 38l-4 6M36 38l4 6"],
      "fish" => ["M4 24c5-10 14-14 22-12c5 1 8 5 10 8l9-8v24l-9-8c-2 3-5 7-10 8c-8 2-17-2-22-12z",
                 "M13 21h.1M24 16c3 5 3 11 0 16"],
      "snail" => ["M27 9a13 13 0 1 1-1 26a13 13 0 1 1 1-26z",
                  "M4 42h38c3 0 4-6-1-7H17c-4 0-5-9-5-15M12 20l-4-6M12 20l3-7",
                  "M27 22a5 5 0 1 0 5 5M26 22a9 9 0 0 1 9 9"]
    }.freeze
    # Other names of the same drawing.
    LIKE = { "roll" => "bun" }.freeze
    # Of a third kind, dots.
    DOTS = "M17 20h.1M27 17h.1M22 27h.1M31 27h.1M26 35h.1"

    module_function

    # @param name [String, nil] what it is, with its colour where it has one ("red kite")
    # @param group [Integer] which part it belongs to, from 0
    # @return [String] SVG
    def draw(name, group)
      shapes = shapes_of(name)
      return counter(group) unless shapes

      colour = COLOURS[name.split.first]
      Svg.tag(:g, shapes.map { |path| stroke(path) }.join + (colour ? pattern(shapes, group) : ""),
              stroke_width: if colour || group
                                      .even?
                              2
                            else
                              3
                            end, stroke_linejoin: "round", stroke_linecap: "round", **paint(colour, group))
    end

    def shapes_of(name)
      words = name.to_s.split
      [words.last(2).join(" "), words.last].lazy.filter_map { |each| SHAPES[LIKE.fetch(each, each)] }.first
    end

    # The first kind solid, the second a ring, as counters are.
    def counter(group)
      plain = paint(nil, group)
      Svg.tag(:circle, cx: 24, cy: 24, r: 16, stroke_width: group.even? ? 2 : 5, **plain)
    end

    def paint(colour, group)
      return { fill: colour, stroke: Shapes::INK } if colour

      group.even? ? { fill: Shapes::A, stroke: Shapes::A_EDGE } : { fill: Shapes::PAPER, stroke: Shapes::B }
    end

    def pattern(shapes, group)
      outline = shapes.find { |path| path.end_with?("z") }
      case group
      when 1 then Svg.tag(:path, d: outline, fill: "none", stroke_width: 3.2,
                                 transform: "translate(10.8 11.2) scale(0.55)")
      when 2 then Svg.tag(:path, d: DOTS, fill: "none", stroke_width: 4)
      else ""
      end
    end

    # A dot drawn as a line of no length is a button's hole or an eye.
    def stroke(path)
      return Svg.tag(:path, d: path) if path.end_with?("z")

      Svg.tag(:path, d: path, fill: "none", stroke_width: path.include?("h.1") ? 5 : 1.8)
    end
    private_class_method :shapes_of, :counter, :paint, :pattern, :stroke
  end
end
