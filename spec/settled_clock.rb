# frozen_string_literal: true

require "timecop"

# What the application takes for now: each example begins on a Tuesday in term, at half past nine, and time goes on from
# there. Those about days go to others.
module SettledClock
  TUESDAY = Time.utc(2026, 11, 24, 9, 30)

  # Each weekday, the weekend, both changes of the clocks, the ends of a month and a year, and a day that most years
  # have not; in class zones far east and far west.
  DAYS = [*Date.new(2026, 11, 23)..Date.new(2026, 11, 29), Date.new(2026, 3, 29), Date.new(2026, 10, 25),
          Date.new(2026, 4, 30), Date.new(2026, 12, 31), Date.new(2027, 1, 1), Date.new(2028, 2, 29)].freeze
  ZONES = %w[Europe/London America/Los_Angeles Pacific/Kiritimati].freeze

  # @param day [Date] as it is where the class is
  # @param hour [Integer] of the class's clock
  def on_day(day, zone: "Etc/UTC", hour: 10, &block)
    there = TZInfo::Timezone.get(zone).local_time(day.year, day.month, day.day, hour)
    Timecop.travel(there, &block)
  end

  # Tries a block on all of them.
  # @yield [Date, String] day and zone
  def on_all_days(days = DAYS, zones: ZONES)
    days.product(zones).each { |day, zone| on_day(day, zone: zone) { yield day, zone } }
  end
end

Timecop.travel(SettledClock::TUESDAY)

return unless defined?(RSpec)

RSpec.configure do |config|
  config.include SettledClock
  config.before { Timecop.travel(SettledClock::TUESDAY) }
end
