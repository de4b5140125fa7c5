# frozen_string_literal: true

module Records
  # A child of a class: a first name and what was heard.
  class Child < Sequel::Model(:children)
    many_to_one :classroom, class: "Records::Classroom"

    # How many a class may have.
    MOST = 60

    # More children than a class may have.
    class TooMany < StandardError; end

    # @param name [String]
    # @raise [Sequel::UniqueConstraintViolation] where another has it
    def rename(name) = update(name: name)

    # Moves a child by one place; from then on the list stands as it was put, not by name.
    # @param step [Integer] −1 earlier, 1 later
    def self.shift(classroom, child, step)
      ids = classroom.children_dataset.select_map(:id)
      place = ids.index(child.id) or return
      ids.insert((place + step).clamp(0, ids.size - 1), ids.delete_at(place))
      DB.transaction { ids.each_with_index { |id, index| where(id: id).update(place: index + 1) } }
    end

    # Adds children by name, leaving out those already there; one who had left comes back.
    # @param names [Array<String>]
    # @param brought [Integer, nil] under which those who are new can be taken back
    # @raise [TooMany] and adds nobody
    def self.enrol(classroom, names, brought: nil)
      there = classroom.children_dataset.select_map(:name)
      total = (there | names).size
      if total > MOST
        raise TooMany, "A class has at most #{MOST} children; with these it would have #{total}. Nobody was added"
      end

      names.uniq.each do |name|
        dataset.insert_conflict(target: %i[classroom_id name], update: { left_on: nil }).insert(
          classroom_id: classroom.id, name: name, brought_id: brought, created_at: Time.now
        )
      end
    end
  end
end
