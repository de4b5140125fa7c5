# frozen_string_literal: true

require "time"

module Pages
  module Listen
    # When an answer was given (field guide 9). Tablets' clocks are wrong now and then: what counts is how long ago it
    # was on the tablet, by whose own clock it says when it was tapped and when it is sent. No tap is refused for its
    # time: one to come, or one that cannot be read, is now.
    module HeardAt
      EARLIEST = Time.utc(2000)
      # Seconds that a tap may have waited.
      LONGEST = 14 * 86_400
      # Seconds after which a tap has waited on its tablet; by which a clock may differ and is right still: the way from
      # the tablet to here takes time too, and quick taps keep their order.
      LATE = 5
      NEAR = 5

      module_function

      # Whether what comes now was tapped a while ago.
      def late?(at, now: Time.now) = now - at >= LATE

      # @param said [String, nil] ISO 8601, when it was tapped
      # @param sent [String, nil] when it was sent, by the same clock, in milliseconds since 1970; where that is not
      #   told, the tablet's clock is taken for right
      # @param lesson [Records::Lesson, nil] within whose hours it must be, where somebody takes one lesson only
      # @return [Time]
      def of(said, sent: nil, lesson: nil, now: Time.now)
        tapped, sending = read(said), clock(sent)
        sending = now if sending && (now - sending).abs <= NEAR
        at = tapped && sending ? now - (sending - tapped).clamp(0, LONGEST) : tapped
        at = now unless at&.between?(EARLIEST, now)
        lesson ? at.clamp(*lesson.hours(now)) : at
      end

      def clock(sent) = (Time.at(0, sent.to_i, :millisecond) if sent.to_s.match?(/\A\d{1,15}\z/))

      def read(said)
        said && Time.iso8601(said)
      rescue ArgumentError
        nil
      end
      private_class_method :read, :clock
    end
  end
end
