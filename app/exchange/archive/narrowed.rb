# frozen_string_literal: true

module Exchange
  module Archive
    # A part of a class: which rows are of it, and what of them is about others and stays away.
    class Narrowed
      # @param room [Records::Classroom]
      # @param holding [Holding]
      def initialize(room, holding)
        @room = room
        @holding = holding
      end

      # @param list [List]
      # @param rows [Sequel::Dataset]
      def dataset(list, rows)
        return rows.where(false) unless @holding.list?(list.name)

        rows.where(@holding.days ? planned(list.name) : list.of_child.call(@holding.children.map(&:id)))
      end

      # What is kept for all, and names of others in what was told.
      # @param list [Symbol]
      # @param row [Hash{Symbol => Object}]
      def row(list, row)
        case list
        when :lessons then lesson(row)
        when :lesson_parts then { **row, details: details(row[:details].to_h) }
        when :problems then { **row, story: without_others(row[:story]) }
        when :own then { **row, content: without_other_names(row[:content].to_h) }
        when :ways then { **row, initials: @holding.children.map { |child| child.name[0] }.join(" "), tally: 1 }
        else row
        end
      end

      private

      def planned(list)
        lessons = DB[:lessons].where(classroom_id: @room.id, held_on: @holding.days).select(:id)
        { weeks: { monday: @holding.days }, lessons: { id: lessons },
          lesson_parts: { lesson_id: lessons, removed_at: nil } }.fetch(list)
      end

      def lesson(row)
        kept = { **row, listening: nil, groups: nil, set_aside: nil }
        @holding.days ? { **kept, ended_at: nil } : kept
      end

      def details(kept) = @holding.days ? without_other_names(kept) : kept.slice("options", "seed", "count")

      def without_other_names(json) = Records::Texts.each(json) { |text| without_others(text) }

      def without_others(text) = text.gsub(others) { |name| @holding.for_colleague? ? invented.fetch(name) : "a child" }

      def names
        all = DB[:children].where(classroom_id: @room.id)
        @names ||= all.exclude(id: @holding.children.map(&:id)).select_map(:name)
      end

      def others = @others ||= names.empty? ? /(?!)/ : /(?<!\p{L})(?:#{Regexp.union(names)})(?!\p{L})/

      # Of a plan that goes to another class, a name nobody has for each.
      def invented
        @invented ||= names.zip((Rungs::Problem::Story::NAMES - names).cycle.first(names.size)).to_h
      end
    end
  end
end
