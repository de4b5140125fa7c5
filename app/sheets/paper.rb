# frozen_string_literal: true

require "prawn"
require "prawn-svg"

module Sheets
  # Pages of paper: margins, type, drawings and the foot. All places and lengths are in millimetres, from the upper left
  # corner of what lies inside the margins; type is in points.
  class Paper
    SIZES = { "a4" => "A4", "letter" => "LETTER" }.freeze
    FONTS = File.expand_path("../../public/fonts", __dir__)
    INK = "17233A"
    SOFT = "55617A"
    LINE = "9AA6B8"
    MM = 72 / 25.4
    # The lower margin holds the foot.
    MARGIN = 15
    FOOT = 8
    # Points of what a grown-up reads.
    SMALL = 10

    attr_reader :pdf

    # @param title [String] in the file’s properties
    # @param size ["a4", "letter"]
    # @param made_of [Hash] what makes it again, in the file’s properties
    # @raise [Rungs::Error::Unknown]
    def initialize(title, size: "a4", made_of: {})
      known = SIZES.fetch(size) do
        raise Rungs::Error::Unknown, "there is no paper “#{size}”; there are #{SIZES.keys.join(', ')}"
      end
      made = made_of.map { |name, value| "#{name}=#{value}" }.join(" ")
      properties = { Title: title, Creator: "Rungs", Subject: made }
      @pdf = Prawn::Document.new(page_size: known, margin: MARGIN * MM, info: properties, compress: true)
      faces
    end

    def width = @pdf.bounds.width / MM

    # Inside the margins, above the foot.
    def height = (@pdf.bounds.height / MM) - FOOT

    def turn = @pdf.start_new_page
    def pages = @pdf.page_count

    # Words, in as many lines as they need.
    # @return [Float] how high they are
    def words(text, x: 0, y: 0, width: self.width - x, size: 13, soft: false, bold: false, family: "Andika",
              align: :left, leading: 2)
      style = { size: size, style: bold ? :bold : :normal, leading: leading }
      high = 0
      @pdf.fill_color soft ? SOFT : INK
      @pdf.font(family) do
        high = @pdf.height_of(writable(text), width: width * MM, **style)
        @pdf.text_box writable(text), at: at(x, y), width: width * MM, height: high + 4, align: align, **style
      end
      high / MM
    end

    # @return [Float] how high words will be
    def height_of(text, size:, width: self.width, leading: 2, family: "Andika")
      high = 0
      @pdf.font(family) do
        high = @pdf.height_of(writable(text), width: width * MM, size: size, leading: leading)
      end
      high / MM
    end

    # For the grown-up who reads it.
    def small(text, **more) = words(text, family: "Source Sans 3", soft: true, size: SMALL, **more)
    def small_height(text, **more) = height_of(text, size: SMALL, family: "Source Sans 3", **more)

    # A drawing, as large as it can be in its box, or with so many millimetres a unit.
    # @param layout [Rungs::Picture::Layout]
    # @return [Float] how high it is
    def draw(layout, x: 0, y: 0, width: self.width - x, height: nil, unit: nil, align: :left)
      edge = 2.0 * Drawings::Picture::MARGIN / Drawings::Picture::UNIT
      wide, high = layout.width + edge, layout.height + edge
      unit = [width / wide, (height || width) / high, unit || Float::INFINITY].min
      x += { left: 0, center: (width - (wide * unit)) / 2, right: width - (wide * unit) }.fetch(align)
      y += (height - (high * unit)) / 2 if height
      svg(Drawings::Picture.draw(layout), x, y, wide * unit)
      high * unit
    end

    # @param jpeg [String] bytes
    def photo(jpeg, y:, height:)
      @pdf.image StringIO.new(jpeg), at: at(0, y), fit: [width * MM, height * MM]
    end

    # The same drawing again is drawn once and put there as often as it comes.
    # @param drawn [String] SVG
    def svg(drawn, x, y, wide)
      again([drawn, wide.round(2)], x, y) do
        @pdf.svg drawn, at: at(0, 0), width: wide * MM, enable_web_requests: false
      end
    end

    # What is drawn at the upper left corner, moved to a place; where it comes again it is not drawn again.
    # @param what [Object] by which it is known
    def again(what, x, y, &draw)
      @drawn ||= {}
      name = @drawn[what] ||= "drawing #{@drawn.size}".tap { |new| @pdf.create_stamp(new, &draw) }
      @pdf.stamp_at(name, [x * MM, -y * MM])
    end

    # @param dashed [Boolean] where it is folded, not cut
    def line(x, y, to_x, to_y, color: INK, thick: 0.25, dashed: false)
      stroke(color, thick, dashed) { @pdf.stroke_line at(x, y), at(to_x, to_y) }
    end

    def box(x, y, wide, high, color: INK, thick: 0.25, dashed: false, round: 0)
      stroke(color, thick, dashed) { @pdf.stroke_rounded_rectangle at(x, y), wide * MM, high * MM, round * MM }
    end

    def circle(x, y, radius, color: INK, thick: 0.3)
      stroke(color, thick, false) { @pdf.stroke_circle at(x, y), radius * MM }
    end

    # @param foot [String] small, on every page, before its number
    # @return [String] PDF
    def render(foot = "")
      # The foot of every page takes no colour space for said that only the last page has.
      @pdf.graphic_state.color_space.clear
      @pdf.repeat(:all, dynamic: true) do
        words(foot, y: height + 3, width: width - 30, family: "Source Sans 3", soft: true, size: 9)
        words("#{@pdf.page_number} of #{pages}", x: width - 30, y: height + 3, width: 30, family: "Source Sans 3",
                                                 soft: true, size: 9, align: :right)
      end
      @pdf.render
    end

    private

    def at(x, y) = [x * MM, @pdf.bounds.top - (y * MM)]

    # The box of an equation, as it is typed.
    def writable(text) = text.to_s.gsub("□", "__")

    def stroke(color, thick, dashed)
      @pdf.stroke_color color
      @pdf.line_width thick * MM
      dashed ? @pdf.dash(2 * MM, space: 1.5 * MM) : @pdf.undash
      yield
      @pdf.undash
    end

    def faces
      { "Andika" => ["andika", 400, 700],
        "Source Sans 3" => ["source-sans-3", 400, 600] }.each do |family, (file, plain, bold)|
        %w[latin latin-ext].each do |part|
          face = { normal: File.join(FONTS, "#{file}-#{part}-#{plain}.ttf"),
                   bold: File.join(FONTS, "#{file}-#{part}-#{bold}.ttf") }
          @pdf.font_families.update(part == "latin" ? { family => face } : { "#{family} more" => face })
        end
      end
      @pdf.fallback_fonts ["Andika more", "Source Sans 3 more", "Andika"]
      @pdf.font "Andika"
    end
  end
end
