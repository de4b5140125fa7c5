# frozen_string_literal: true

module Sheets
  # Notes for families, a page each, with the same drawing as on the screen; a whole class in one file.
  class NotePages < ForEach
    entry id: "families", title: "A page for each family", for_whom: :family

    def self.each_of(source) = source.notes

    NAMED = "For families"
    ROSE = "D64B6B"
    HEADINGS = { now: "Now", example: "For example", coming: "What comes next", home: "To do at home" }.freeze
    # A note: whose it is, its parts as the teacher left them, and its picture.
    Note = Struct.new(:title, :parts, :picture, keyword_init: true)

    private

    def draw(note)
      paper.line(2, -Paper::MARGIN, 2, paper.height + Paper::FOOT + Paper::MARGIN, color: ROSE, thick: 0.5)
      y = paper.words(note.title, x: 10, size: 22) + 8
      HEADINGS.each { |name, heading| y = part(note, name, heading, y) }
    end

    # @return [Float] where the next begins
    def part(note, name, heading, y)
      words = note.parts[name].to_s.strip
      return y if words.empty?

      y += paper.small(heading, x: 10, y: y, size: 11, bold: true) + 1
      y += paper.words(words, x: 10, y: y, size: 13, leading: 4)
      y += paper.draw(note.picture, x: 10, y: y + 2, width: 116, unit: 12) + 2 if name == :example && note.picture
      caution = note.parts[:caution].to_s.strip if name == :home
      y += paper.small(caution, x: 10, y: y + 1, size: 11) + 1 unless caution.to_s.empty?
      y + 5
    end
  end
end
