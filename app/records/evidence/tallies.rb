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

      # @param day [Date]
      # @param ids [Array<Integer>] of children
      # @return [Hash{Integer => Date}] the day each of them was last heard before a day
      def last_before(day, ids)
        own = { Sequel[:observations][:child_id] => Sequel[:children][:id] }
        last = @classroom.observations_dataset.standing.where(own).order(Sequel.desc(:happened_at)).limit(1)
                         .where(Sequel[:happened_at] < @classroom.midnight(day)).select(:happened_at)
        rows = DB[:children].where(Sequel[:children][:classroom_id] => @classroom.id, Sequel[:children][:id] => ids)
                            .cross_join(last.lateral.as(:last))
        rows.select_hash(Sequel[:children][:id], Sequel[:last][:happened_at])
            .transform_values { |time| @classroom.today(time) }
      end

      # @return [Time, nil] when somebody was first heard
      def first_heard = @classroom.observations_dataset.standing.order(:happened_at).get(:happened_at)

      private

      def tallies = @tallies ||= OF.call(classroom_id: @classroom.id).to_h { |row| [row[:child_id], row] }
    end
  end
end
