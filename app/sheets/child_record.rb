# frozen_string_literal: true

module Sheets
  # All that is kept of one child, to be read by who has a right to ask.
  class ChildRecord < Sheet
    # Millimetres of a drawing's height; columns of the answers.
    PHOTO = 90
    COLUMNS = { "day" => 0, "problem" => 26, "heard" => 66 }.freeze

    # @param about [String] whose, and where
    # @param standing [Array<String>] where the child works, a sentence each
    # @param answers [Array<Array(String, String, String)>] day, problem, what was heard
    # @param everything_else [Hash{String => Array<String>}] what else is kept, by what it is
    # @param photos [Array<Array(String, String)>] day, and JPEG
    def initialize(about:, standing:, answers:, everything_else:, photos:, **sheet)
      super(**sheet, name: false)
      @about = about
      @standing = standing
      @answers = answers
      @everything_else = everything_else
      @photos = photos
    end

    private

    def foot = @about

    def body
      @y = paper.words(@title, size: TITLE) + 4
      @y += paper.small(@about, y: @y) + 6
      part("Where #{@title} works", @standing)
      answers
      @everything_else.each { |heading, lines| part(heading, lines) }
      @photos.each { |day, jpeg| photo(day, jpeg) }
    end

    def part(heading, lines)
      return if lines.empty?

      room(14)
      @y += paper.words(heading, y: @y, size: 13, bold: true) + 2
      lines.each { |line| below(line) }
      @y += 4
    end

    def below(line)
      room(paper.height_of(line, size: 11))
      @y += paper.words(line, y: @y, size: 11) + 1.5
    end

    def answers
      return part("Answers", ["None was heard."]) if @answers.empty?

      room(14)
      @y += paper.words("Answers", y: @y, size: 13, bold: true) + 2
      @answers.each do |cells|
        room(6)
        high = COLUMNS.values.zip(cells).map { |x, cell| paper.words(cell, x: x, y: @y, size: 10) }.max
        @y += high + 1
      end
      @y += 4
    end

    def photo(day, jpeg)
      room(PHOTO + 8)
      @y += paper.small("A drawing, #{day}", y: @y) + 1
      paper.photo(jpeg, y: @y, height: PHOTO)
      @y += PHOTO + 4
    end

    # Another page where so much does not go on this one.
    def room(high)
      return if @y + high <= paper.height

      paper.turn
      @y = 0
    end
  end
end
