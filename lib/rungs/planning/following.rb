# frozen_string_literal: true

module Rungs
  module Planning
    # What a week is for after those before it (guide 11): the same again; after two weeks of one operation the other,
    # in its own range but never above this one's; where the last one's check says go on, the next rung that its range
    # affords, and where there is none the other operation.
    module Following
      OTHER = { "add" => "subtract", "subtract" => "add" }.freeze
      # How many weeks one operation stands.
      WEEKS = 2

      module_function

      # @param weeks [Array<Aim>] those before, the last first; a rung is nil where it was not kept
      # @yield whether the last one counts as reached; asked only where that matters
      # @param own [#call] operation → the range of the children's edges there
      # @return [Aim] its rung is nil where the children's aims say it
      def after(weeks, own: ->(_) { weeks.first.range })
        last = weeks.first
        other = OTHER.fetch(last.operation)
        turned = -> { Aim.new(operation: other, range: Ranges.nearer(own.call(other), last.range)) }
        return turned.call if weeks.size >= WEEKS && weeks.first(WEEKS).map(&:operation).uniq.one?
        return Aim.new(operation: last.operation, range: last.range) unless last.rung && yield

        last.above || turned.call
      end
    end
  end
end
