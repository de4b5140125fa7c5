# frozen_string_literal: true

module Rungs
  module Picture
    class Hands
      # A cell pressed is filled, its counter turned over, crossed out, and taken away again.
      class Cells
        # What a cell goes through as it is pressed: a tone and a state each, nil for nothing there.
        STATES = [nil, %i[a plain], %i[b plain], %i[a struck]].freeze

        # @param frame [Frame]
        # @param contents [Array<Array, nil>] what lies in each cell
        def initialize(frame, contents = nil)
          @from = frame.layout
          @frame = frame
          @contents = contents || cells.map { |cell| lying_on(cell) }
        end

        def places = @from.marks.all? { |mark| %i[cell counter].include?(mark.shape) } ? cells : []

        def press(place)
          now = @contents[place]
          following = STATES[(STATES.index(now).to_i + 1) % STATES.size]
          Cells.new(@frame, @contents.dup.tap { |all| all[place] = following })
        end

        def layout
          Layout.new(width: @from.width, height: @from.height, marks: cells + counters,
                     alt: "#{filled.size} there, as they were put#{": #{sentence}" if sentence}")
        end

        def sentence
          struck, left = filled.partition { |_, state| state == :struck }
          return "#{filled.size} − #{struck.size} = #{left.size}" if struck.any?

          Hands.sum(%i[a b].map { |tone| left.count { |each, _| each == tone } })
        end

        private

        def cells = @from.marks.select { |mark| mark.shape == :cell }
        def filled = @contents.compact

        def lying_on(cell)
          counter = @from.marks.find { |mark| mark.shape == :counter && [mark.x, mark.y] == [cell.x, cell.y] }
          counter && (counter.state == :struck ? STATES.last : [counter.tone, :plain])
        end

        def counters
          cells.zip(@contents).select(&:last).each_with_index.map do |(cell, (tone, state)), index|
            Mark.new(shape: :counter, x: cell.x, y: cell.y, tone: tone, order: index + 1,
                     state: (state unless state == :plain))
          end
        end
      end
    end
  end
end
