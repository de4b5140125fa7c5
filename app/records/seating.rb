# frozen_string_literal: true

module Records
  # The seating of a room: seats in rows, counted from the front left.
  class Seating
    COLUMNS = 6
    SEATS = COLUMNS * 8

    # @param seat [Integer] from 0
    # @return [Array(Integer, Integer)] row and place in it, from 1
    def self.place(seat) = seat.divmod(COLUMNS).map { |each| each + 1 }

    # @param classroom [Classroom]
    def initialize(classroom)
      @classroom = classroom
    end

    def children = @classroom.children_dataset.all
    def seated = children.select(&:seat).to_h { |child| [child.seat, child] }
    def unseated = children.reject(&:seat)

    # Room for everybody and a row more.
    def rows
      for_all = (children.size / COLUMNS.to_f).ceil + 1
      [for_all, ((seated.keys.max || 0) / COLUMNS) + 1].max.clamp(1, SEATS / COLUMNS)
    end

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
    def fill
      DB.transaction do
        free = (0...SEATS).to_a - seated.keys
        unseated.zip(free).each { |child, seat| child.update(seat: seat) if seat }
      end
    end
  end
end
