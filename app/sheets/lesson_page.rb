# frozen_string_literal: true

module Sheets
  # The lesson on a page, for whoever takes the class: its parts with minutes, what to say, what to have at hand,
  # cautions, whom to listen to and what for.
  class LessonPage < Sheet
    entry id: "lesson", title: "The lesson on a page", note: "for whoever takes it", shelf: "lesson",
          for_whom: :teacher, of_lesson: true

    class << self
      def needed_in?(_source) = true

      def drawn_from(source, _)
        { parts: source.page_parts, turns: source.turns, link: source.link, title: source.heading }
      end
    end

    # A part: title, minutes, what to say step by step, what the items after the first ask, materials, cautions, what to
    # listen for.
    Part = Struct.new(:title, :minutes, :says, :following, :materials, :cautions, :listen_for, keyword_init: true)

    # @param parts [Array<Part>]
    # @param turns [Array<Array(String, String)>] whom to listen to, and why
    # @param link [String, nil] the address that opens the lesson that day
    # @raise [Rungs::Error::NotAProblem]
    def initialize(parts:, turns: [], link: nil, **sheet)
      raise Rungs::Error::NotAProblem, "this lesson has no parts yet" if parts.empty?

      super(**sheet, name: false)
      @parts = parts
      @turns = turns
      @link = link
    end

    private

    def body
      y = head - 5
      @parts.each { |part| y = placed(y, PART) { |from| part(part, from) } + 1.5 }
      y = placed(y, CODE) { |from| from.tap { code(from) } } if @link
      { "Listen to" => [@turns.map { |name, why| "#{name} #{why.delete_suffix('.')}" }.join("; ")].reject(&:empty?),
        "Take care" => @parts.flat_map(&:cautions).uniq }.each do |title, lines|
        y = placed(y, high(lines)) { |from| block(title, lines, from) } + 2 if lines.any?
      end
    end

    # Millimetres that a part, the title of a list, and the code need.
    PART = 30
    TITLE_LINE = 7
    CODE = 42
    private_constant :PART, :TITLE_LINE, :CODE

    def high(lines) = TITLE_LINE + lines.sum { |line| paper.small_height(line, width: listed, leading: 0) }
    def listed = paper.width - (@link ? CODE + 6 : 0)

    # On the next page where this one is full.
    def placed(y, high)
      return yield(y) if y + high <= paper.height

      paper.turn
      yield 0
    end

    def part(part, y)
      paper.line(0, y, paper.width, y, color: Paper::LINE)
      paper.words("#{part.minutes} min", y: y + 2, width: 20, size: 13, soft: true)
      y += paper.words(part.title, x: 22, y: y + 1.5, size: 14) + 2
      y += paper.words(spoken(part.says), x: 22, y: y, size: 11, leading: 0) + 1
      told = [("Then: #{part.following}." unless part.following.empty?),
              ("At hand: #{part.materials.join('; ')}." if part.materials.any?),
              ("Listen for: #{part.listen_for.join('; ')}." if part.listen_for.any?)].compact
      told.each { |line| y += paper.small(line, x: 22, y: y) + 0.3 }
      y
    end

    # Each step's words in marks of their own, but where a child speaks in them.
    def spoken(says) = says.map { |words| words.include?("“") ? words : "“#{words}”" }.join("  ")

    # The same lesson on a tablet, beside the lists: its address, also for a camera.
    def code(y)
      x = paper.width - CODE
      paper.svg(Drawings::Code.draw(@link, label: "The address of this lesson"), x + 8, y, CODE - 16)
      paper.small("The same on a tablet, this day only, without an account: #{@link}", x: x, y: y + CODE - 16, size: 8)
    end

    def block(title, lines, y)
      y += paper.words(title, y: y, size: 13, leading: 0)
      lines.each { |line| y += paper.small(line, y: y, width: listed, leading: 0) }
      y
    end
  end
end
