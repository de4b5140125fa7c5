# frozen_string_literal: true

module Exchange
  module Archive
    # Brings lessons and weeks of a colleague into a class, on the same days or some weeks later. A part that stands on
    # its day already is not brought again; what is planned there stays before it.
    class BringingPlans
      # @param document [Hash] as its schema has it
      # @param room [Records::Classroom]
      # @param from [Date, nil] the Monday of its first week here; nil: as it was there
      def initialize(document, room, from: nil)
        @document = document
        @room = room
        first = Rungs::SchoolDays.monday(lessons.map { |row| day(row["held_on"]) }.min || room.today)
        @shift = from ? (Rungs::SchoolDays.monday(from) - first).to_i : 0
      end

      # A lesson as it would come: its day here, its parts, and how many of them are there.
      Coming = Struct.new(:day, :parts, :there, keyword_init: true) do
        def titles = parts.map { |row| Rungs::Activity::ALL.fetch(row["kind"]).title }
        def new? = there < parts.size
      end

      # @return [Array<Coming>] in order
      def coming
        planned = lessons.map { |row| Coming.new(day: day(row["held_on"]) + @shift, **parts_of(row)) }
        planned.reject { |each| each.parts.empty? }.sort_by(&:day)
      end

      # @param brought [Integer] under which it can be taken back
      # @return [Integer] how many parts came
      def call(brought)
        AtOnce.call do
          bring_weeks(brought)
          lessons.sum { |row| bring_lesson(row, brought) }
        end
      end

      private

      def lessons = @document["lessons"]
      def day(text) = Date.iso8601(text)

      def parts_of(lesson)
        own = @document["lesson_parts"].select { |row| row["lesson_id"] == lesson["number"] }
        there = planned(day(lesson["held_on"]) + @shift)
        { parts: own.sort_by { |row| row["place"] }, there: own.count { |row| there.include?(key(row)) } }
      end

      # @return [Array<Array>] what stands on a day
      def planned(day)
        lesson = DB[:lessons].where(classroom_id: @room.id, held_on: day).select(:id)
        rows = DB[:lesson_parts].where(lesson_id: lesson, removed_at: nil).select_map(%i[kind minutes details])
        rows.map { |kind, minutes, details| [kind, minutes, details.to_h.slice(*SAME)] }
      end

      # By what parts are the same.
      SAME = %w[options seed count own].freeze
      private_constant :SAME

      def key(row) = [row["kind"], row["minutes"], details(row).slice(*SAME)]

      # Nobody of the other class is in this one.
      def details(row) = Within.numbers(row["details"], { children: {} })

      def bring_weeks(brought)
        @document["weeks"].each do |row|
          values = %i[band operation i_can seed rung].to_h { |name| [name, row[name.to_s]] }
          DB[:weeks].insert_conflict(target: %i[classroom_id monday])
                    .insert(classroom_id: @room.id, monday: day(row["monday"]) + @shift, brought_id: brought, **values)
        end
      end

      def bring_lesson(row, brought)
        on = day(row["held_on"]) + @shift
        parts, there = parts_of(row)[:parts], planned(on)
        fresh = parts.reject { |part| there.include?(key(part)) }
        insert(Days.lesson(@room, on, brought), on, fresh, brought) if fresh.any?
        fresh.size
      end

      def insert(lesson, day, parts, brought)
        most = Records::Course::MOST
        standing = DB[:lesson_parts].where(lesson_id: lesson, removed_at: nil)
        if standing.count + parts.size > most
          raise Refused, "The lesson of #{day.iso8601} would have more than #{most} parts; nothing was brought in"
        end

        last = standing.max(:place).to_i
        DB[:lesson_parts].multi_insert(parts.each.with_index(1).map do |row, place|
          { classroom_id: @room.id, lesson_id: lesson, place: last + place, kind: row["kind"], minutes: row["minutes"],
            details: Sequel.pg_jsonb(details(row)), skipped: row["skipped"], brought_id: brought }
        end)
      end
    end
  end
end
