# frozen_string_literal: true

require "csv"

module Exchange
  # A class list as it is pasted or comes from a spreadsheet: one name a line, or columns between commas, semicolons or
  # tabs, quoted or not, numbered or not, with a header or none, surname first or last. First names are taken; where two
  # share one, the first letter of the surname stands with it.
  #
  #   ClassList.new("1. Lane, Ada\n2. Hill, Bo", there: ["Bo"]).lines.map(&:state)  # => [:new, :there]
  class ClassList
    # number: of the line as pasted. state: :new, :back (was off the list), :there, :double, :unread. name: nil where
    # none was found. note: why, where it is not simply new.
    Line = Struct.new(:number, :text, :name, :state, :note, keyword_init: true)

    SEPARATORS = ["\t", ";", ","].freeze
    FIRST = /\A(first|given|fore|pref|call|vor)|\A(name|child|pupil|student)\z/i
    LAST = /\A(last|sur|family|nach)/i
    NUMBERED = /\A\s*(\d{1,3}\s*[.):]?|[-*•])\s+/
    LONGEST = 40
    private_constant :SEPARATORS, :FIRST, :LAST, :NUMBERED

    # @param text [String]
    # @param there [Array<String>] names on the list
    # @param off [Array<String>] names off it, whose records are kept
    def initialize(text, there: [], off: [])
      @text = text.delete_prefix("\uFEFF")
      @there = there
      @off = off
    end

    # @return [Array<Line>] every line that has something in it, the header left out
    def lines = @lines ||= judged(told_apart(read))

    # @return [Array<String>] to be added, or to come back
    def names = lines.select { |line| %i[new back].include?(line.state) }.map(&:name)

    private

    Cells = Struct.new(:number, :text, :given, :surname, keyword_init: true)

    def rows
      @text.lines.map(&:chomp).each_with_index.filter_map do |text, index|
        [index + 1, text, cells(text)] unless text.delete("\t;, ").empty?
      end
    end

    def cells(text)
      plain = text.sub(NUMBERED, "")
      found = separator ? parted(plain) : [plain.delete('"')]
      found.map { |cell| cell.to_s.strip.squeeze(" ") }
    end

    # A quote that never ends is a mark like others.
    def parted(text)
      CSV.parse_line(text, col_sep: separator, liberal_parsing: true).to_a
    rescue CSV::MalformedCSVError
      text.delete('"').split(separator)
    end

    # What stands between the columns of most lines.
    def separator
      @separator ||= begin
        filled = @text.lines.map(&:strip).reject(&:empty?)
        SEPARATORS.find { |each| filled.count { |line| line.include?(each) } * 2 > filled.size } || false
      end
      @separator || nil
    end

    def read
      all = rows
      header = all.first&.last.to_a
      return all.map { |number, text, cells| plain(number, text, cells) } unless header?(header)

      first = header.index { |cell| cell.match?(FIRST) }
      last = header.index { |cell| cell.match?(LAST) }
      all.drop(1).map { |number, text, cells| with(number, text, cells[first] || "", last && cells[last]) }
    end

    def header?(cells) = cells.any? { |cell| cell.match?(FIRST) } && cells.all? { |cell| cell.match?(/\A\D*\z/) }

    # Without a header: a number column is passed over; two names after each other are surname, first, where a comma
    # stands between them.
    def plain(number, text, cells)
      names = cells.grep_v(/\A\d*\z/)
      return with(number, text, names[0] || "", nil) if names.size < 2

      separator == "," ? with(number, text, names[1], names[0]) : with(number, text, names[0], names[1])
    end

    # A cell may itself say "Lane, Ada".
    def with(number, text, first, last)
      last, first = first.split(/\s*,\s*/, 2) if first.match?(/\S,\s*\S/)
      Cells.new(number: number, text: text.strip, given: first.to_s.strip, surname: last.to_s.strip)
    end

    # @return [Array<Array(Cells, String)>] each with the name it is called by
    def told_apart(all)
      shared = all.map { |each| [each.given, each.surname].map(&:downcase) }.uniq.map(&:first).tally
      all.map do |each|
        initial = each.surname[0]
        [each, shared[each.given.downcase] > 1 && initial ? "#{each.given} #{initial}." : each.given]
      end
    end

    def judged(all)
      seen = []
      all.map do |each, name|
        state, note = judge(name, seen)
        seen << name.downcase
        Line.new(number: each.number, text: each.text, name: (name unless state == :unread), state: state, note: note)
      end
    end

    def judge(name, seen)
      return [:unread, "no name in it"] if name.empty? || !name.match?(/\p{L}/)
      return [:unread, "longer than #{LONGEST} characters"] if name.size > LONGEST
      return [:double, "twice in this list"] if seen.include?(name.downcase)
      return [:there, "on the list already"] if @there.any? { |there| there.casecmp?(name) }
      return [:back, "comes back, with the records kept"] if @off.any? { |off| off.casecmp?(name) }

      [:new, nil]
    end
  end
end
