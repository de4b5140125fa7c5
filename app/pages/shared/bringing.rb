# frozen_string_literal: true

module Pages
  module Shared
    # What a class brings for some parts: amounts for who is there, less what stands on its shelf; cautions once each.
    module Bringing
      # A thing to bring, or one that the class has.
      # @param parts [Array<Records::LessonPart>]
      # @param days [Array<Date>] on which; as many are counted as are there on the fullest
      # @return [Array(Array<Rungs::Planning::Bring::Thing>, Array<Rungs::Planning::Bring::Thing>)] missing, and there
      def bring(parts, days)
        things = Rungs::Planning::Bring.for(parts.map { |part| [part.items.kind, part.items.all_data] },
                                            children: present(days))
        shelf = room.settings["shelf"].to_a
        things.partition { |each| !shelf.include?(each.thing) }
      end

      # @return [Integer] children who are there, on the day when most are
      def present(days)
        away = room.absences(days)
        there = days.map { |day| (room.children.map(&:id) - away.fetch(day, [])).size }
        there.max || room.children.size
      end

      # @return [Array<String>]
      def cautions_of(parts) = parts.flat_map { |part| part.items.kind.cautions }.uniq
    end
  end
end
