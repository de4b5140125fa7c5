# frozen_string_literal: true

require "date"

module Rungs
  # What the records say: where a child mostly works now, how sure that is, and whom to hear next.
  module Progress
    Rungs.shelve self, :CheckIn, :Estimate, :FactMap, :FamilyNote, :Filter, :Groups, :Inviting, :Listening, :NextProblems, :Record, :Rule, :Running
  end
end
