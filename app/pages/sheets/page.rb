# frozen_string_literal: true

module Pages
  module Sheets
    # The sheet that was chosen, beside all there are.
    class Page < Shared::Page
      view :"sheets/sheets", tab: "sheets", title: "Sheets"
      def_delegators :@printing, :entry, :chosen, :lesson, :papers, :part, :activity, :options_of, :day

      # School days that are printed for.
      AHEAD = 7

      # @param printing [Printing::OfClass]
      def initialize(visitor, printing)
        super(visitor)
        @printing = printing
      end

      # Why there is no such sheet, in a sentence; nil where there is one.
      def trouble
        return @trouble if defined?(@trouble)

        @trouble = @printing.sheet && nil
      rescue Rungs::Error => e
        @trouble = Rungs.capital(e.message)
      end

      # The other days that are printed for: today, the next school day, and what is planned after it.
      def other_days
        planned = room.lessons_dataset.unordered.where(held_on: today..today + AHEAD).select_order_map(:held_on)
        [today, next_school_day, *planned].uniq.sort - [day]
      end

      def named(date) = date == today ? "For today" : "For #{long_date(date)}"

      # What the lesson of that day needs.
      # @return [Array<Link>]
      def needed
        papers.lines.map { |line| link(line.title, line.choices, note: line.note, **line.choices, day: day) }
      end

      # All there is, by its shelf.
      # @return [Array<Array(String, Array<Link>)>]
      def shelves
        ::Sheets::Shelves::HEADINGS.map do |id, heading|
          [heading, ::Sheets::ALL.on(id).flat_map { |sheet| links(sheet) }]
        end
      end

      def others
        ::Sheets::ALL.select { |sheet| sheet.shelf.nil? }.flat_map { |sheet| links(sheet, day: day) }
      end

      # What is chosen about this sheet.
      # @return [Array<::Sheets::Choice>]
      def choices = entry.choices.select { |choice| choice.for(@printing).size > 1 }
      def values(choice) = choice.for(@printing)
      def chosen?(choice, value) = chosen[choice.id] == value

      # The choices of an activity by itself; a part has made its own.
      def options = of_activity? ? activity.options : []
      def of_activity? = entry.any_activity && part.nil?

      # What stays as it is while something else is chosen.
      def unchanged = { day: day, **chosen.slice(:sheet, :part, :usual, :activity) }
      def letter? = chosen[:paper] == "letter"

      # Of this very sheet.
      def address(name)
        options = of_activity? ? options_of : {}
        "/sheets/#{room.id}#{name}?#{URI.encode_www_form({ day: day, **chosen, **options }.compact)}"
      end

      Link = Struct.new(:title, :note, :href, :current, keyword_init: true)

      private

      def links(sheet, **more)
        sheet.listed(@printing).map { |title, choices| link(title, { sheet: sheet.id, **choices }, **more) }
      end

      # @param choices [Hash] by which it is seen whether it is the one that is shown
      def link(title, choices, note: nil, **more)
        query = { **more, **choices }
        Link.new(title: title, note: note, current: shows?(choices),
                 href: "/sheets/#{room.id}?#{URI.encode_www_form(query)}")
      end

      def shows?(choices)
        stands_alone = { part: nil, usual: nil, child: nil, **choices }
        { **chosen, activity: activity.id }.slice(*stands_alone.keys) == stands_alone.compact
      end
    end
  end
end
