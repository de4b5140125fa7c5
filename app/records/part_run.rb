# frozen_string_literal: true

module Records
  # One time that a part of a lesson ran, until it was left or the lesson stopped.
  class PartRun < Sequel::Model(:part_runs)
  end
end
