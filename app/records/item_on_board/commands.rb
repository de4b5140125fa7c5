# frozen_string_literal: true

module Records
  class ItemOnBoard
    # What may be asked of the board: each command gives the next state, and changes nothing by itself.
    module Commands
      ALL = %w[step item draw stand uncover sentence ways initials touch as_it_was].freeze

      # What a child does at the board, also where it was opened by its code.
      BY_HAND = %w[touch as_it_was].freeze

      MOST_PRESSES = 500
      # Drawings that are still read from the back of the room.
      MOST_STANDING = 3

      # @param command [String] one of ALL
      # @param value [String, nil] "2.1", the third item's second step; for an item its number alone
      # @return [BoardState] the next state; the same where it asks for nothing there is
      def after(command, value)
        case command
        when "step", "item" then running?(value) ? @state : at(*value.to_s.split(".").map(&:to_i))
        when "draw" then draw(*value.to_s.match(/\A(.+?)(?: (\d+))?\z/)&.captures)
        when "stand" then stand(value.to_s)
        when "uncover" then uncover
        when "touch" then touch(value.to_i)
        when "as_it_was" then @state.with(hands: nil)
        when "sentence", "ways", "initials" then @state.with(command.to_sym => @state.public_send(command) != true)
        else @state
        end
      end

      # @return [BoardState] at an item and a step of it; ways stay where it is the same item
      def at(index = 0, step = 0)
        index = index.clamp(0, set.last)
        step = step.clamp(0, set.item(index).steps.size - 1)
        kept = index == @state.item ? @state.wanted : BoardState.new
        kept.with(part: set.part.id, item: index, step: step, shown_at: @now,
                  **seen(set.item(index).steps[step], kept.asked))
      end

      private

      # A way or a picture in the place of the item's own step, from its first step on.
      def draw(wanted = nil, step = nil)
        steps = drawing(wanted) or return @state
        place = step.to_i.clamp(0, steps.size - 1)
        @state.with(drawn: wanted, drawn_step: place, standing: nil, **open)
      end

      # A way done to its end, beside those that stand there; the first is the first to go where there is no room.
      def stand(wanted)
        return @state unless drawing(wanted)

        standing = [*(@state.standing - [wanted]), wanted].last(MOST_STANDING)
        @state.with(standing: standing, drawn: nil, drawn_step: nil, **open)
      end

      def open = { until: nil, hands: nil, covered: false, asked: true, show: BoardState::SHOWN }

      # What is shown on asking stays shown for the steps of this item that wait for it.
      def uncover
        show = covered? ? BoardState::SHOWN : BoardState::COVERED
        @state.with(until: nil, covered: !covered?, asked: covered?, show: show)
      end

      # One press more, whatever was pressed meanwhile in another window.
      def touch(place)
        return @state unless place.between?(0, places.size - 1) && @state.hands.size < MOST_PRESSES

        @state.with(hands: [*@state.hands, place])
      end

      # For a moment, or as long as it is wanted; a cover is nothing to see.
      def seen(step, asked)
        waits = step.asked && !asked
        { show: waits || step.layout.marks.map(&:shape) == [:cover] ? BoardState::COVERED : BoardState::SHOWN,
          covered: (true if waits), until: (@now + step.seconds if step.seconds) }
      end

      # A moment that is still running is not begun again.
      def running?(value) = value == "#{index}.#{place}" && passing? && left.positive?
    end
  end
end
