# frozen_string_literal: true

require "set"

module Exchange
  # A class list as it is pasted or comes from a spreadsheet: one name a line, several, or columns between commas,
  # semicolons and tabs in any mix, quoted or not, numbered or not, with a header or none, surname first or last. Only
  # first names are taken; where two share one, the first letter of the surname stands with it. What else stands there
  # is left out, and said.
  #
  #   ClassList.new("1. Lane, Ada\n2. Hill, Bo", there: ["Bo"]).lines.map(&:state)  # => [:new, :there]
  class ClassList
    # number: of the line as pasted. state: :new, :back (was off the list), :there, :double, :unread. name: nil where
    # none was found. note: why, where it is not simply new; and what was left out of it.
    Line = Struct.new(:number, :text, :name, :state, :note, keyword_init: true)

    # More lines than any class has.
    MOST = 200
    LONGEST = 40
    HEADING = /\A(first|given|fore|pref|call|vor)|\A(name|child|pupil|student)\z/i
    LAST = /\A(last|sur|family|nach)/i
    # As the roster standard has it: whose line it is, where not all are children.
    ROLE = /\Aroles?\z/i
    CHILD = /\A(student|learner|pupil|child)?\z/i
    NUMBERED = /\A\s*(\d{1,3}\s*[.):]?|[-*•])\s+/
    # Line ends of any machine; what is not seen and turns the direction of what is.
    ENDS = /\r\n?|[\u2028\u2029\u0085\v\f]/
    UNSEEN = /[\u0000-\u0008\u000E-\u001F\u007F-\u009F\u200E\u200F\u061C\u202A-\u202E\u2066-\u2069\uFEFF]/
    private_constant :HEADING, :LAST, :ROLE, :CHILD, :NUMBERED, :ENDS

    # Without the marks that are not seen, and with single spaces.
    def self.clean(name) = name.gsub(UNSEEN, "").strip.squeeze(" ")

    # @param text [String]
    # @param there [Array<String>] names on the list
    # @param off [Array<String>] names off it, whose records are kept
    # @raise [Rungs::Error::TooMany] where it has more lines than any class
    def initialize(text, there: [], off: [])
      @rows = text.gsub(ENDS, "\n").gsub(UNSEEN, "").lines(chomp: true)
      if @rows.size > MOST
        raise Rungs::Error::TooMany, "That list has #{@rows.size} lines, more than any class. Paste one class at a time"
      end

      @there, @off = [there, off].map { |names| names.to_set(&:downcase) }
    end

    # @return [Array<Line>] every line that has something in it, the header left out; one of each child where a line
    #   names several
    def lines = @lines ||= judged(told_apart(read))

    # @return [Array<String>] to be added, or to come back
    def names = lines.select { |line| %i[new back].include?(line.state) }.map(&:name)

    # @return [Array<String>] columns of which nothing is taken, as the header calls them
    def left_out = columns ? columns.headings.grep_v(HEADING).grep_v(LAST).reject(&:empty?) : []

    private

    # A child found in a line. others: what else stood there, in words.
    Found = Struct.new(:number, :text, :given, :surname, :others, keyword_init: true)

    def rows = @rows.each_with_index.reject { |text, _| text.delete("\t;, ").empty? }

    # @return [Columns, nil] nil where the first line is no header
    def columns
      return @columns if defined?(@columns)

      header = rows.first&.first.to_s
      cells = Cells.of(header).flatten
      heading = cells.any? { |cell| cell.match?(HEADING) } && cells.all? { |cell| cell.match?(/\A\D*\z/) }
      @columns = heading ? Columns.new(header) : nil
    end

    def read
      return rows.drop(1).map { |text, index| in_columns(text, index + 1) } if columns

      named = rows.map { |text, index| [text, index + 1, Cells.named(text.sub(NUMBERED, ""))] }
      listing = listing?(named.map { |*, cells| cells.names.size })
      named.flat_map { |text, number, cells| children(cells, listing).map { |one| found(text, number, *one) } }
    end

    # Whether lines name several children each: one line alone, or lines with more names on one than on another.
    def listing?(sizes) = sizes.any? { |size| size > 2 } && (sizes.size == 1 || sizes.uniq.size > 1)

    # @return [Array<Array(String, String, Array<String>)>] given name, surname and what else, of each child of a line
    def children(cells, listing)
      groups, names, others = cells.groups, cells.names, cells.others
      if groups.size > 1 && groups.all? { |each| each.size == 2 }
        return groups.map do |last, first|
          [first, last, others]
        end
      end
      return names.map { |name| [name, "", others] } if listing && names.any?

      together = groups.first.to_a.size > 1
      first, last = together ? groups.first.first(2).reverse : names.first(2)
      [[first.to_s, last.to_s, others + names.drop(2).map { |name| "“#{name}”" }]]
    end

    def in_columns(text, number)
      given, surname = columns.of(text, HEADING), columns.of(text, LAST)
      given, surname = given.split(/\s*,\s*/, 2).reverse if given.match?(/\S,\s*\S/)
      role = columns.of(text, ROLE)
      kind = role.match?(CHILD) ? Cells.other(given) : "a #{role}"
      found(text, number, kind ? "" : given, surname.to_s, [kind].compact)
    end

    def found(text, number, given, surname, others)
      Found.new(number: number, text: text.strip, given: given, surname: surname, others: others)
    end

    # @return [Array<Array(Found, String)>] each with the name it is called by
    def told_apart(all)
      shared = all.map { |each| [each.given, each.surname].map(&:downcase) }.uniq.map(&:first).tally
      all.map do |each|
        initial = each.surname[0]
        [each, shared[each.given.downcase] > 1 && initial ? "#{each.given} #{initial}." : each.given]
      end
    end

    def judged(all)
      seen = Set.new
      all.map do |each, name|
        state, note = judge(name, seen)
        seen << name.downcase
        notes = [note, ("left out: #{each.others.uniq.join(', ')}" if each.others.any?)].compact
        Line.new(number: each.number, text: each.text, name: (name unless state == :unread), state: state,
                 note: (notes.join("; ") if notes.any?))
      end
    end

    def judge(name, seen)
      return [:unread, "no name in it"] if name.empty? || !name.match?(/\p{L}/)
      return [:unread, "longer than #{LONGEST} characters"] if name.size > LONGEST
      return [:double, "twice in this list"] if seen.include?(name.downcase)
      return [:there, "on the list already"] if @there.include?(name.downcase)
      return [:back, "comes back, with the records kept"] if @off.include?(name.downcase)

      [:new, nil]
    end
  end
end
