# frozen_string_literal: true

require "zlib"

module Records
  class Course
    # The usual parts of a lesson.
    module Usual
      # The usual parts: the same of a day, whenever they are asked for.
      def plan_usual
        DB.transaction do
          usual_minutes.each { |kind, minutes| plan(kind, minutes: minutes, details: usual_details(kind)) }
        end
      end

      # The same, not kept.
      def offer_usual
        @parts = usual_minutes.map do |kind, minutes|
          activity = Rungs::Activity::ALL.fetch(kind)
          details = seeded(activity, usual_details(kind)).to_jsonb
          LessonPart.new(classroom_id: @lesson.classroom_id, kind: kind, minutes: minutes, details: details)
                    .tap { |part| part.associations.update(lesson: @lesson, runs: []) }
        end
      end

      private

      # They fill the class's time.
      # @return [Hash{String => Integer}] by activity
      def usual_minutes
        usual = Rungs::Activity::USUAL.to_h { |kind| [kind, Rungs::Activity::ALL.fetch(kind).minutes] }
        shares = Rungs::Planning::Shape.shared(usual.values, of: Integer(@lesson.classroom.setting("minutes")))
        usual.keys.zip(shares).to_h
      end

      def usual_details(kind)
        there = @lesson.id ? parts.count { |part| part.kind == kind } : 0
        { seed: (Zlib.crc32("#{@lesson.classroom_id} #{@lesson.held_on} #{kind} #{there}") % 9999) + 1 }
      end
    end
  end
end
