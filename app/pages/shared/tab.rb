# frozen_string_literal: true

module Pages
  module Shared
    # A tab of one class: nothing in it is looked at before the class is found, and what one is in it is known.
    class Tab < Base
      # What one must be allowed to look here (see) and to change something (act); and where a path asks for another.
      #
      #   needs :plan, see: :see_plan, %r{/go\z} => :conduct
      def self.needs(act, see: act, **but)
        @needs = { act: act, see: see, but: but }
      end

      # @return [Symbol] an act of Records::Policy
      def self.needed(verb, path)
        _, other = @needs[:but].find { |pattern, _| path.match?(pattern) }
        other || @needs[%w[GET HEAD].include?(verb) ? :see : :act]
      end

      before("/:room/?*") do
        room
        allow(self.class.needed(request.request_method, request.path_info))
      end
    end
  end
end
