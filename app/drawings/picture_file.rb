# frozen_string_literal: true

require "base64"

module Drawings
  # A picture as a file of its own: SVG that carries its numerals with it, or PNG.
  module PictureFile
    TYPES = { "svg" => "image/svg+xml", "png" => "image/png" }.freeze
    # Pixels a unit of the drawing: a ten frame is wide enough for a page.
    SCALE = 3
    WEIGHTS = [400, 700].freeze
    # Where the fonts that ship are told of: read once, when the first is drawn, and by nothing else started here.
    FONTS = { "FONTCONFIG_FILE" => File.join(Rungs::ROOT, "config/fonts.conf") }.freeze
    DRAWING = Mutex.new
    private_constant :FONTS, :DRAWING

    module_function

    # @param layouts [Array<Rungs::Picture::Layout>] one under the other
    # @param as [String] one of TYPES
    # @return [String] bytes
    def make(layouts, as)
      svg = one_under_the_other(layouts)
      as == "svg" ? with_numerals(svg) : pixels(svg)
    end

    def one_under_the_other(layouts)
      return Picture.draw(layouts.first) if layouts.one?

      sizes = layouts.map { |layout| [layout.width, layout.height].map { |units| (units + 1) * Picture::UNIT } }
      wide, top = sizes.map(&:first).max, 0
      drawn = layouts.zip(sizes).map do |layout, (own, high)|
        place = { x: (wide - own) / 2.0, y: top, width: own, height: high }
        top += high
        Picture.draw(layout).sub("<svg ") { "<svg #{place.map { |name, value| "#{name}=\"#{value}\"" }.join(' ')} " }
      end
      Svg.picture(wide, top, drawn.join, label: layouts.map(&:alt).join("; "))
    end

    def with_numerals(svg)
      return svg unless svg.include?("<text")

      svg.sub(">") { ">#{Svg.tag(:style, faces)}" }
    end

    def faces
      @faces ||= WEIGHTS.map do |weight|
        font = File.binread(File.join(Rungs::ROOT, "public/fonts/andika-latin-#{weight}-normal.woff2"))
        "@font-face{font-family:Andika;font-weight:#{weight};" \
          "src:url(data:font/woff2;base64,#{Base64.strict_encode64(font)})}"
      end.join
    end

    # Drawings of our own: the reader of SVG is on while they are drawn, and no file of a stranger ever reaches it.
    def pixels(svg)
      require "vips"
      alone { Vips::Image.svgload_buffer(svg, scale: SCALE).flatten(background: [255, 255, 255]).pngsave_buffer }
    end

    # With our fonts and the reader of SVG, one drawing after the other.
    def alone
      DRAWING.synchronize do
        before = ENV.to_h.slice(*FONTS.keys)
        ENV.update(FONTS)
        Vips.block("VipsForeignLoadSvg", false)
        yield
      ensure
        Vips.block("VipsForeignLoadSvg", true)
        ENV.update(FONTS.keys.to_h { |name| [name, before[name]] })
      end
    end
    private_class_method :one_under_the_other, :with_numerals, :faces, :pixels, :alone
  end
end
