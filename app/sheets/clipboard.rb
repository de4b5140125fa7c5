# frozen_string_literal: true

module Sheets
  # For the teacher, on days without a device: the class list down, the lesson’s problems across; in each cell the five
  # rungs to circle, what is off the ladder, and room for the answer.
  class Clipboard < Sheet
    entry id: "clipboard", title: "Clipboard", note: "for you", shelf: "clipboard", for_whom: :teacher, of_lesson: true,
          typed_in: true

    class << self
      def needed_in?(source) = source.asked.any?

      def drawn_from(source, _)
        asked = source.asked
        children = source.children.to_h { |child| [child.name, asked.map { |each| each.for_child(child).equation }] }
        { children: children, problems: asked.map(&:equation), title: source.heading }
      end
    end

    # Millimetres: the names, the least and the most that a row takes, and what stands above the rows; how many problems
    # a page has room for.
    NAMES = 34
    ROW = 8.0
    MOST = 12.0
    HEAD = 25
    ACROSS = 4
    # How much higher the marks stand where a child’s own numbers stand beneath.
    RAISED = 2.1
    # Points of a name: the largest in which it fits in a line, else the last, in two.
    SIZES = [11, 9, 7].freeze
    MARKS = %w[1 2 3 4 5 0 g 9].freeze

    # @param children [Hash{String => Array<String>}] by name, the child's own numbers of each problem
    # @param problems [Array<String>] "9 + 5 = □"
    # @raise [Rungs::Error::NotAProblem] where there is nobody, or nothing to hear
    def initialize(children:, problems:, **sheet)
      raise Rungs::Error::NotAProblem, "there is nobody on the list yet" if children.empty?
      raise Rungs::Error::NotAProblem, "this lesson has no problem to listen to yet" if problems.empty?

      super(**sheet, name: false)
      @children = children
      @problems = problems
    end

    private

    def body
      @problems.each_index.each_slice(ACROSS).with_index do |places, page|
        @children.each_slice(rows).with_index do |children, part|
          paper.turn if page.positive? || part.positive?
          grid(children, places)
        end
      end
    end

    def rows = ((paper.height - HEAD - 1) / ROW).floor

    # A shorter list has more room in each row, so that the page is full.
    def row_high = @row_high ||= ((paper.height - HEAD - 1) / [@children.size, rows].min).clamp(ROW, MOST)

    # Where a line of words stands in the middle of a row.
    def middle = (row_high - 4.4) / 2

    # Fewer problems have wider columns.
    def wide(places) = (paper.width - NAMES) / places.size.clamp(2, ACROSS).to_f

    def grid(children, places)
      paper.words(@title, size: 15)
      paper.small("Circle the rung: 1 count all, 2 count on, 3 part–whole, 4 make ten, 5 known fact; 0 no answer, " \
                  "g guess, 9 nobody saw how. Write the answer where it was wrong.", y: 8)
      wide = wide(places)
      problems = @problems.values_at(*places)
      problems.each_with_index do |problem, index|
        paper.words(problem, x: NAMES + (index * wide) + 2, y: 19, width: wide - 2, size: 11)
      end
      children.each_with_index do |(child, own), row|
        others = own.values_at(*places).zip(problems).map { |mine, usual| mine unless mine == usual }
        row(child, HEAD + (row * row_high), wide, others)
      end
    end

    def marks
      MARKS.each_with_index do |mark, place|
        paper.words(mark, x: 1.5 + (place * 3.6), y: middle, width: 3.4, size: 12, soft: place > 4, align: :center)
      end
    end

    # @param others [Array<String, nil>] the child's own numbers, where they are not those above
    def row(child, y, wide, others)
      paper.line(0, y, paper.width, y, color: Paper::LINE, thick: 0.15)
      paper.words(child, y: y + middle, width: NAMES - 2, size: size_of(child), leading: 0)
      others.each_with_index do |own, index|
        x = NAMES + (index * wide)
        paper.again(:marks, x, own ? y - RAISED : y) { marks }
        own_numbers(own.delete_suffix(" = □"), x + 2, y, wide - 2) if own
        paper.line(x + 31.5, y + row_high - 1.5, x + wide - 1.5, y + row_high - 1.5, color: Paper::SOFT)
      end
    end

    def size_of(name) = SIZES.find { |size| high(name, size) <= high("A", size) } || SIZES.last
    def high(text, size) = paper.height_of(text, size: size, width: NAMES - 2, leading: 0)

    def own_numbers(text, x, y, wide)
      paper.words(text, x:, y: y + row_high - 4, width: wide, size: 7, leading: 0)
    end
  end
end
