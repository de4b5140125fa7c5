# frozen_string_literal: true

module Pages
  module Coach
    # What pages of classes by week share: the operation and range that are chosen once, and a class's river.
    module Looked
      def operation = asked[:operation] || "add"
      def band = asked[:band] || "to10"
      def bands = Rungs::Problem::Band::ALL.ids

      def river(room)
        (@rivers ||= {})[room.id] ||= Records::River.new(room, operation, band, room.today)
      end

      def drawn_river(room)
        there = river(room)
        from, to = [there.days.first, there.days.last].map { |day| short_date(day) }
        Drawings::River.new(there.weeks, from: from, to: to).draw(label: "#{room.name}: #{rungs_in_words(there)}")
      end

      # "count on 5, part–whole 9; 3 not heard enough"
      def rungs_in_words(river)
        there = river.weeks.last.each_with_index.select { |count, _| count.positive? }
        words = there.map { |count, rung| "#{Rungs::Strategy::Rung.at(rung + 1).title.downcase} #{count}" }
        words << "nobody heard enough yet" if words.empty?
        return words.join(", ") unless river.heard? && river.unclear.positive?

        "#{words.join(', ')}; #{river.unclear} not heard enough"
      end

      # "4 moved up since 22 September, 1 down"
      def movement(river)
        up, down = river.moved.values_at(:up, :down).map(&:size)
        return "nobody moved since #{short_date(river.days.first)}" if up.zero? && down.zero?

        [("#{up} moved up" if up.positive?), ("#{down} moved down" if down.positive?)].compact.join(", ") +
          " since #{short_date(river.days.first)}"
      end

      def where_to(here, **other)
        "#{here}?#{Rack::Utils.build_query({ operation: operation, band: band, **other })}"
      end
    end
  end
end
