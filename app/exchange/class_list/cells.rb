# frozen_string_literal: true

module Exchange
  class ClassList
    # What stands between the separators of a line: groups between semicolons and tabs, in each the cells between
    # commas.
    module Cells
      # A quoted cell, in which a doubled quote is one; a plain one; or a separator.
      TOKEN = /\s*"((?:[^"]|"")*)"(?=\s*(?:[,;\t]|\z))|([^,;\t]+)|([,;\t])/
      # What a cell is that is no name.
      OTHERS = {
        "a date" => %r{\A\d{1,4}\s*[./-]\s*\d{1,2}\s*[./-]\s*\d{1,4}\z|\A\d{1,2}\.?\s+\p{L}{3,}\.?,?\s+\d{4}\z}i,
        "a sex" => /\A(m|f|w|d|x|male|female|boy|girl|männlich|weiblich|divers|junge|mädchen|non-?binary)\.?\z/i,
        "an address" => %r{@|\A\+?[\d ()/-]{6,}\z|\d.*\p{L}{3,}|\p{L}{3,}.*\d},
        "a number" => /\d/
      }.freeze

      # Names by their groups; and what else stood in the line, in words.
      Named = Struct.new(:groups, :others, keyword_init: true) do
        def names = groups.flatten
      end

      module_function

      # @param text [String] a line
      # @return [Array<Array<String>>]
      def of(text)
        text.scan(TOKEN).each_with_object([[+""]]) do |(quoted, plain, separator), groups|
          case separator
          when "," then groups.last << +""
          when nil then groups.last.last << (quoted ? quoted.gsub('""', '"') : plain)
          else groups << [+""]
          end
        end.map { |cells| cells.map { |cell| cell.delete('"').strip.squeeze(" ") } }
      end

      # A quoted cell may itself say "Lane, Ada".
      # @return [Named]
      def named(text)
        cells = of(text).map { |group| group.flat_map { |cell| cell.split(/\s*,\s*/) }.reject(&:empty?) }
        others = cells.flatten.filter_map { |cell| other(cell) unless cell.match?(/\A\d{0,3}\z/) }
        groups = cells.map { |group| group.reject { |cell| other(cell) } }.reject(&:empty?)
        Named.new(groups: groups, others: others)
      end

      # @return [String, nil] what a cell is where it is no name
      def other(cell) = OTHERS.find { |_, like| cell.match?(like) }&.first
    end
  end
end
