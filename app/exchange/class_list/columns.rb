# frozen_string_literal: true

module Exchange
  class ClassList
    # A list with a header: which cell of a line stands under which heading.
    class Columns
      attr_reader :headings

      # @param header [String] the first line
      def initialize(header)
        @separator = [",", ";", "\t"].max_by { |each| header.count(each) }
        @headings = cells(header)
      end

      # @param heading [Regexp]
      # @return [String] what stands under it in a line, with "" for nothing
      def of(text, heading)
        place = @headings.index { |each| each.match?(heading) }
        place ? cells(text)[place].to_s : ""
      end

      private

      # Between the separators of the header; of a line that has none of them, between any.
      def cells(text)
        groups = Cells.of(text)
        flat = groups.flatten
        return flat if @separator == "," || !text.include?(@separator)

        groups.map { |group| group.reject(&:empty?).join(", ") }
      end
    end
  end
end
