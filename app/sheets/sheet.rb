# frozen_string_literal: true

module Sheets
  # What every sheet has: a title, a name line where it is wanted, the size that a child’s hand and eye need. Each sheet
  # has an entry, says what it takes of a source, and has a body, which draws its pages.
  class Sheet
    extend Entry

    TITLE = 20
    # Of a choice.
    YES_NO = [false, true].freeze

    choice "paper", Paper::SIZES.keys, label: "paper", names: { "a4" => "A4", "letter" => "Letter" }
    choice "copies", 1..40, label: "copies"

    class << self
      # @param source [Source]
      # @param choices [Hash{Symbol => Object}] what is left out is as usual
      # @return [Sheet]
      # @raise [Rungs::Error]
      def of(source, choices = {})
        chosen = { **usual, **choices }
        new(**drawn_from(source, chosen), **chosen.slice(:paper, :large, :copies, :name))
      end
    end

    # @param title [String]
    # @param paper ["a4", "letter"]
    # @param large [Boolean] type of 24 points for children, not 18
    # @param name [Boolean] a line for the name
    # @param copies [Integer] 1 to 40
    # @param made_of [Hash] what makes it again
    def initialize(title: self.class.title, paper: "a4", large: false, name: true, copies: 1, made_of: {})
      @title = title
      @large = large
      @name = name
      @copies = copies
      @made_of = made_of
      @paper = Paper.new(title, size: paper, made_of: made_of)
    end

    # @yield [Integer, Integer] how many copies are drawn, of how many
    # @return [String] PDF
    def render
      @copies.times do |copy|
        yield copy, @copies if block_given?
        @paper.turn if copy.positive?
        body
      end
      ending
      @paper.render(foot)
    end

    private

    attr_reader :paper

    # On pages of their own, after all copies.
    def ending = nil

    # What makes it again, small.
    def foot = [@title, ("set #{@made_of[:seed]}" if @made_of[:seed])].compact.join(", ")
    def size = @large ? 24 : 18

    # Title and name line, and what is asked once for all.
    # @return [Float] where the rest begins
    def head(ask = nil, title: @title, name: @name)
      high = paper.words(title, size: TITLE, width: title_width(name))
      name_line if name
      paper.words(ask, y: high + 4, size: size) if ask
      head_height(ask, title: title, name: name)
    end

    def head_height(ask = nil, title: @title, name: @name)
      asked = ask ? paper.height_of(ask, size: size) + 4 : 0
      paper.height_of(title, size: TITLE, width: title_width(name)) + asked + 8
    end

    def title_width(name) = name ? paper.width * 0.55 : paper.width

    def name_line
      x = paper.width * 0.58
      paper.words("Name", x: x, y: 1.2, size: 13, soft: true)
      paper.line(x + 14, 7, paper.width, 7)
    end
  end
end
