# frozen_string_literal: true

module Sheets
  # For the next teacher: a page for the class, and one for each child.
  class NextTeacher < ForEach
    # title: whose page. parts: by heading, a line each.
    Told = Struct.new(:title, :parts, keyword_init: true)

    private

    def draw(told)
      y = paper.words(told.title, size: TITLE) + 6
      told.parts.each { |heading, lines| y = part(heading, lines, y) if lines.any? }
    end

    # @return [Float] where the next begins
    def part(heading, lines, y)
      y += paper.words(heading, y: y, size: 13, bold: true) + 2
      lines.each { |line| y += paper.words(line, y: y, size: 12, leading: 3) + 2 }
      y + 5
    end
  end
end
