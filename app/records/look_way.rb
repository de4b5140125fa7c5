# frozen_string_literal: true

module Records
  # One way a quick look was seen, how often, and by whom where the teacher noted it.
  class LookWay < Sequel::Model(:look_ways)
  end
end
