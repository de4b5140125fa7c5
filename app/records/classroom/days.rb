# frozen_string_literal: true

module Records
  class Classroom
    # Its clock and its days: what is when there, without school, and who is away.
    module Days
      def zone = TZInfo::Timezone.get(time_zone)

      EPOCH = Date.new(1970, 1, 1)
      # Weekdays ahead among which the next with school is looked for.
      AHEAD = 60
      private_constant :EPOCH, :AHEAD

      # @param now [Time]
      # @return [Date] the day it is there
      def today(now = Time.now)
        seconds = now.to_i
        @period = zone.period_for_utc(now.getutc) unless @period && covers?(@period, seconds)
        EPOCH + ((seconds + @period.observed_utc_offset) / 86_400)
      end

      # @return [Time] with that zone's offset
      def local(time) = zone.to_local(time)

      # @return [Time] when that day begins there
      def midnight(day) = zone.local_to_utc(Time.utc(day.year, day.month, day.day), &:first)

      # @param from [Date]
      # @return [Array<Date>] the first so many days with school, of those ahead; none where all of them are without
      def school_days(from, count) = Rungs::SchoolDays.from(from, AHEAD).reject { |day| off?(day) }.first(count)

      # Whether a day is marked as one without school.
      def off?(day) = Rungs::SchoolDays.holiday?(day) || settings["off"].to_a.include?(day.iso8601)

      # @param days [Array<Date>]
      # @param closed [Boolean] without school, or with it after all
      def mark_off(days, closed: true)
        marked = days.map(&:iso8601)
        change_settings do |there|
          off = there["off"].to_a
          { "off" => closed ? (off + marked).uniq.sort : off - marked }
        end
      end

      # @return [Hash{Date => Array<Integer>}] by day, the children who are away
      def absences(days) = DB[:absences].where(classroom_id: id, day: days).select_hash_groups(:day, :child_id)

      # Notes that a child is away on a day, or is there after all.
      def note_absence(child, day, away:)
        absence = { classroom_id: id, child_id: child.id, day: day }
        away ? DB[:absences].insert_conflict.insert(**absence) : DB[:absences].where(absence).delete
      end

      private

      # Between two changes of the clock.
      def covers?(period, seconds)
        from, to = [period.start_transition, period.end_transition].map { |each| each&.timestamp_value }
        (from.nil? || from <= seconds) && (to.nil? || seconds < to)
      end
    end
  end
end
