# frozen_string_literal: true

module Pages
  module Shared
    # The class list left of the margin: name, small ladder, a tick if heard today.
    module ClassMargin
      # What the small ladders stand for: the problem at hand, or the last one posed.
      def focus
        @focus ||= begin
          problem = @posed || room.last_problem
          problem ? [problem.operation, problem.band] : %w[add to10]
        end
      end

      # @yield [Records::Child] → the address of that child
      def class_margin(next_up: [], chosen: nil, &href)
        return partial(:"shared/_empty_margin") if room.children.empty?

        partial(:"shared/_margin", rows: margin_rows(next_up), chosen: chosen, href: href)
      end

      def margin_rows(next_up = []) = room.children.map { |child| margin_row(child, next_up) }

      # Whom to listen to today, in turn.
      def listening = @listening ||= Records::ListeningList.new(room, evidence, focus, lesson: @posed&.lesson)

      def margin_row(child, next_up = [])
        { child: child, estimate: (evidence.estimate(child, *focus, on: today) if may?(:ladders)),
          heard: listening.heard?(child, today), next_up: next_up.include?(child) }
      end

      # Who may not see them sees names, and no ladders.
      def ladder(estimate) = estimate && Drawings::Ladder.of(estimate)
    end
  end
end
