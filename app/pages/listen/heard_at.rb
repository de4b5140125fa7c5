# frozen_string_literal: true

require "time"

module Pages
  module Listen
    # When an answer was given, as its tablet says. Tablets' clocks are wrong now and then, and no tap is refused for
    # that: a time to come, one from before there were classes, or none that can be read is now.
    module HeardAt
      EARLIEST = Time.utc(2000)
      # Seconds after which a tap has waited on its tablet.
      LATE = 5

      module_function

      # Whether what comes now was tapped a while ago.
      def late?(at, now: Time.now) = now - at >= LATE

      # @param said [String, nil] ISO 8601
      # @param lesson [Records::Lesson, nil] within whose hours it must be, where somebody takes one lesson only
      # @return [Time]
      def of(said, lesson: nil, now: Time.now)
        at = read(said)
        at = now unless at&.between?(EARLIEST, now)
        lesson ? at.clamp(*lesson.hours(now)) : at
      end

      def read(said)
        said && Time.iso8601(said)
      rescue ArgumentError
        nil
      end
      private_class_method :read
    end
  end
end
