# frozen_string_literal: true

module Exchange
  module Archive
    # Which rows of a list belong to some children, by their ids.
    module OfChild
      ASKED = ->(ids) { DB[:observations].where(child_id: ids).select(:problem_id) }
      PROBLEMS = ->(ids) { DB[:problems].where(id: ASKED.call(ids)) }
      IN_PARTS = ->(ids) { PROBLEMS.call(ids).exclude(part_id: nil).select(:part_id) }
      GAVE = ->(ids) { DB[:way_givers].where(child_id: ids).select(:way_id) }
      NONE = ->(_) { false }
      THERE = ->(_) { { removed_at: nil } }
      OWN = ->(ids) { { child_id: ids } }
    end
  end
end
