# frozen_string_literal: true

require "rqrcode"

module Drawings
  # An address that a camera reads.
  module Code
    # Units a square; squares left free around it.
    SIDE = 4
    EDGE = 4

    module_function

    # @param text [String]
    # @return [String] SVG
    def draw(text, label:)
      modules = RQRCode::QRCode.new(text).modules
      wide = (modules.size + (2 * EDGE)) * SIDE
      squares = modules.each_with_index.flat_map do |row, y|
        row.each_index.select { |x| row[x] }.map { |x| square(x, y) }
      end
      paper = Svg.tag(:rect, width: wide, height: wide, fill: "#FFFFFF")
      Svg.picture(wide, wide, paper + Svg.tag(:path, d: squares.join, fill: "#000000"), label: label, css: "code")
    end

    def square(x, y) = "M#{(x + EDGE) * SIDE} #{(y + EDGE) * SIDE}h#{SIDE}v#{SIDE}h-#{SIDE}z"
    private_class_method :square
  end
end
