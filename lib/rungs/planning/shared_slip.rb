# frozen_string_literal: true

module Rungs
  module Planning
    # A slip that several children made more than once of late (guide 11).
    #
    #   id: of guide 6. names: of whom, by name.
    SharedSlip = Struct.new(:id, :names, keyword_init: true) do
      # @param children [Hash{Object => Array<Array(Date, Array<String>, String)>}] by child, in the order they
      #   happened: the day of an answer, the slips that could have come, and which it was; nil where it was right
      # @param on [Date] the first day of the week
      # @return [Array<SharedSlip>] those of three children or more, commonest first; who was right twice since where it
      #   could have come is not among them
      def self.among(children, on:)
        late = children.transform_values { |all| all.select { |day, *| day >= on - self::DAYS && day < on } }
        made = late.flat_map { |child, all| repeated(all).map { |id| [id, child] } }.group_by(&:first)
        shared = made.map { |id, pairs| new(id: id, names: pairs.map(&:last)) }
        shared.select { |each| each.names.size >= self::CHILDREN }.sort_by { |each| [-each.names.size, each.id] }
      end

      def self.repeated(answers)
        answers.filter_map(&:last).tally.select { |_, times| times >= self::TIMES }.keys.reject do |id|
          since = answers.drop(answers.rindex { |answer| answer.last == id } + 1)
          since.count { |_, possible, slip| slip.nil? && possible.include?(id) } >= self::TIMES
        end
      end
      private_class_method :repeated
    end
    # So many children, each so often, in so many days.
    SharedSlip::CHILDREN = 3
    SharedSlip::TIMES = 2
    SharedSlip::DAYS = 28
  end
end
