# frozen_string_literal: true

module Rungs
  module Picture
    class Hands
      # A bead pressed goes over with all before it, or back with all behind it.
      class Beads
        def initialize(rack)
          @rack = rack
        end

        def layout = @rack.layout
        def places = @rack.card? ? [] : layout.marks.select { |mark| mark.shape == :bead }

        def press(place)
          row, bead = place.divmod(@rack.beads)
          rows = @rack.rows.dup
          rows[row] = bead < rows[row] ? bead : bead + 1
          Beads.new(Rack.new(rows, beads: @rack.beads))
        end

        def sentence
          rows = @rack.rows
          Hands.sum(rows.size == 1 ? [rows[0], @rack.beads - rows[0]] : rows)
        end
      end
    end
  end
end
