# frozen_string_literal: true

module Records
  class Evidence
    # How often, and when last, each child was heard.
    class Tallies
      OF = DB[:tallies].where(classroom_id: :$classroom_id).prepare(:select, :tallies_of)
      private_constant :OF

      # @param classroom [Classroom]
      def initialize(classroom)
        @classroom = classroom
      end

      # @return [Hash{Integer => Date}] the day each child was last heard, off the ladder too
      def last_heard
        @last_heard ||= tallies.transform_values { |tally| tally[:last_at] && @classroom.today(tally[:last_at]) }
      end

      # @return [Hash{Integer => Integer}] how many records each child has
      def counts = Hash.new(0).merge(tallies.transform_values { |tally| tally[:records] })

      private

      def tallies = @tallies ||= OF.call(classroom_id: @classroom.id).to_h { |row| [row[:child_id], row] }
    end
  end
end
