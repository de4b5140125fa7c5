# frozen_string_literal: true

module Records
  # A child of a class: a first name and what was heard.
  class Child < Sequel::Model(:children)
    many_to_one :classroom, class: "Records::Classroom"

    # Adds children by name, leaving out those already there; one who had left comes back.
    # @param names [Array<String>]
    def self.enrol(classroom, names)
      names.uniq.each do |name|
        dataset.insert_conflict(target: %i[classroom_id name], update: { left_on: nil }).insert(
          classroom_id: classroom.id, name: name
        )
      end
    end
  end
end
