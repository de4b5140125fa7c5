# frozen_string_literal: true

module Pages
  module Listen
    # Whose turn it is: today's list, shared out where several listen; in a visit the visit's own.
    module Turns
      # Today's list first, one's own share of it before the others', in turn; then the others by name.
      def in_turn(rows)
        rows.sort_by.with_index do |row, index|
          turn = turns.index(row[:child])
          [turn ? 0 : 1, turn && elsewhere?(row[:child]) ? 1 : 0, turn || 0, index]
        end
      end

      # By child, whose share of the list it is where several listen.
      # @return [Hash{Integer => Integer}]
      def shares
        @shares ||= if !together? || posed.lesson.held_on != today then {}
                    else Records::SharedList.new(posed.lesson).shares(turns)
                    end
      end

      def elsewhere?(child) = shares.key?(child.id) && shares[child.id] != person.id

      # The first letter of whose share a name is.
      def share_of(child) = listeners[shares[child.id]].to_s[0]
      def listeners = @listeners ||= Records::Account.where(id: shares.values.uniq).select_hash(:id, :name)

      # Others of the class with whom the list can be shared, where it is not yet.
      def colleagues
        return [] if !together? || shares.any? || posed.lesson.held_on != today

        others = Records::Membership.of(room).reject { |each| each.account_id == person.id }
        @colleagues ||= others.select { |each| each.may?(:share_list) }.map(&:account)
      end

      # In a visit its children, else today's list.
      def turns = @turns ||= in_visit || listening.on(today).map(&:child)

      def in_visit = (going_on.whom if going_on&.whom&.any?)

      # The visit that goes on in this class.
      def going_on
        return @going_on if defined?(@going_on)

        @going_on = visitor.visit || (Records::Visit.in_class(room) unless substitute?)
      end
    end
  end
end
