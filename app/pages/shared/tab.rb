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

      # GETs of these paths may be read from a copy of the database, see Records::Standby.
      #
      #   reads_beside %r{/term\z}
      def self.reads_beside(paths = //)
        @beside = paths
      end

      def self.readable_beside?(verb, path) = verb == "GET" && !@beside.nil? && path.match?(@beside)

      # @return [Symbol] an act of Records::Policy
      def self.needed(verb, path)
        _, other = @needs[:but].find { |pattern, _| path.match?(pattern) }
        other || @needs[%w[GET HEAD].include?(verb) ? :see : :act]
      end

      before("/:room/?*") do
        room
        act = self.class.needed(request.request_method, request.path_info)
        allow(act)
        one_by_one unless request.safe? || act == :record
      end

      # What changes a class waits for who is changing it, and sees what that left. Taps only add, and wait for nobody.
      def one_by_one = room.lock!("FOR NO KEY UPDATE")

      # What a route does, once the class was found by the database itself.
      def route_eval
        return super unless @room && self.class.readable_beside?(request.request_method, request.path_info)

        Records::Standby.read(room) do |from|
          Spent.read_from(from)
          super
        end
      end
    end
  end
end
