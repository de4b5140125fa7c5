# frozen_string_literal: true

module Records
  # One time that a part of a lesson ran, until it was left or the lesson stopped.
  class PartRun < Sequel::Model(:part_runs)
    # By this machine's clock, like every time it is held against; not by the database's.
    plugin :timestamps, create: :started_at
  end
end
