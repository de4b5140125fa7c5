# frozen_string_literal: true

module Pages
  module Listen
    # The seating of a room: seats in rows, counted from the front left.
    class Seating
      COLUMNS = 6
      SEATS = COLUMNS * 8

      # @param classroom [Records::Classroom]
      def initialize(classroom)
        @classroom = classroom
      end

      def children = @classroom.children_dataset.all
      def seated = children.select(&:seat).to_h { |child| [child.seat, child] }
      def unseated = children.reject(&:seat)

      # Room for everybody and a row more.
      def rows = [(children.size / COLUMNS.to_f).ceil + 1, ((seated.keys.max || 0) / COLUMNS) + 1].max.clamp(1, SEATS / COLUMNS)

      # Who sits there takes the seat that gets free.
      # @param seat [Integer, nil] nil for none
      def put(child, seat)
        DB.transaction do
          other = seat && @classroom.children_dataset.first(seat: seat)
          other&.update(seat: child.seat)
          child.update(seat: seat)
        end
      end

      # Everybody without a seat, in order of names, on the first that are free.
      def fill = DB.transaction { unseated.zip((0...SEATS).to_a - seated.keys).each { |child, seat| child.update(seat: seat) if seat } }
    end
  end
end
