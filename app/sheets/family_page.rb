# frozen_string_literal: true

require "prawn"
require "prawn-svg"

module Sheets
  # A note for a family on one page of paper, with the same drawing as on the page.
  class FamilyPage
    PAPERS = { "a4" => "A4", "letter" => "LETTER" }.freeze
    FONTS = File.join(Rungs::ROOT, "public/fonts")
    INK, SOFT, ROSE = "17233A", "55617A", "D64B6B"
    HEADINGS = { now: "Now", example: "For example", coming: "What comes next", home: "To do at home" }.freeze

    # @param parts [Hash{Symbol => String}] as the teacher left them
    # @param picture [Rungs::Picture::Layout, nil]
    # @param paper ["a4", "letter"]
    # @return [String] PDF
    def self.render(title, parts, picture: nil, paper: "a4", foot: "") = new(title, parts, picture, paper, foot).render

    def initialize(title, parts, picture, paper, foot)
      @title = title
      @parts = parts
      @picture = picture
      @foot = foot
      @pdf = Prawn::Document.new(page_size: PAPERS.fetch(paper), margin: [54, 54, 54, 72],
                                 info: { Title: title, Creator: "Rungs" })
      fonts
    end

    def render
      margin_line
      @pdf.fill_color INK
      @pdf.font("Andika", size: 22) { @pdf.text @title }
      @pdf.move_down 18
      HEADINGS.each { |name, heading| part(heading, @parts[name], name) }
      foot
      @pdf.render
    end

    private

    def fonts
      { "Andika" => ["andika", 400, 700],
        "Source Sans 3" => ["source-sans-3", 400, 600] }.each do |family, (file, plain, bold)|
        %w[latin latin-ext].each do |part|
          faces = { normal: File.join(FONTS, "#{file}-#{part}-#{plain}.ttf"),
                    bold: File.join(FONTS, "#{file}-#{part}-#{bold}.ttf") }
          @pdf.font_families.update(part == "latin" ? { family => faces } : { "#{family} more" => faces })
        end
      end
      @pdf.fallback_fonts ["Andika more", "Source Sans 3 more"]
      @pdf.font "Andika"
    end

    def margin_line
      @pdf.canvas do
        @pdf.stroke_color ROSE
        @pdf.line_width 1.5
        @pdf.stroke_vertical_line 0, @pdf.bounds.top, at: 54
      end
    end

    def part(heading, words, name)
      return if words.to_s.strip.empty?

      @pdf.fill_color SOFT
      @pdf.font("Source Sans 3", size: 11, style: :bold) { @pdf.text heading }
      @pdf.fill_color INK
      @pdf.text writable(words), size: 13, leading: 4
      draw if name == :example && @picture
      caution if name == :home
      @pdf.move_down 14
    end

    def draw
      @pdf.move_down 6
      drawn = Drawings::Picture.draw(@picture)
      @pdf.svg drawn, width: [@pdf.bounds.width, 330].min, position: :left, enable_web_requests: false
      @pdf.fill_color INK
    end

    def caution
      return if @parts[:caution].to_s.strip.empty?

      @pdf.move_down 4
      @pdf.fill_color SOFT
      @pdf.text writable(@parts[:caution]), size: 11, leading: 3
    end

    # The box of an equation, as it is typed.
    def writable(words) = words.to_s.gsub("□", "__")

    def foot
      @pdf.canvas do
        @pdf.fill_color SOFT
        @pdf.font("Source Sans 3", size: 10) do
          @pdf.text_box writable(@foot), at: [72, 40], width: @pdf.bounds.width - 144, height: 16
        end
      end
    end
  end
end
