# frozen_string_literal: true

module Exchange
  # Takes all of something that was brought in out again: answers with what was corrected in them since, and problems,
  # parts, days and children on which nothing else stands.
  class TakeBack
    # @param brought [Records::Brought]
    def initialize(brought)
      @brought = brought
      @room = brought.classroom
    end

    def call
      DB.transaction do
        @brought.kind == "class" ? @room.erase : take_out
      end
    end

    private

    def take_out
      heard = take_answers
      %i[photos home_answers came_with weeks own].each { |table| its(table).delete }
      its(:lesson_parts).exclude(id: all(:problems).exclude(part_id: nil).select(:part_id)).delete
      its(:lessons).exclude(id: all(:lesson_parts).select(:lesson_id))
                   .exclude(id: all(:problems).select(:lesson_id)).delete
      take_children
      @brought.delete
      Records::Ledger.new(@room).rebuild(heard & Records::Child.where(classroom_id: @room.id).select_map(:id))
    end

    def all(table) = DB[table].where(classroom_id: @room.id)
    def its(table) = all(table).where(brought_id: @brought.id)

    # @return [Array<Integer>] whose they were
    def take_answers
      rows = its(:observations)
      later = all(:observations).where(replaces_id: rows.select(:id))
      later.delete while later.any?
      whose, problems = rows.distinct.select_map(:child_id), rows.distinct.select_map(:problem_id)
      rows.delete
      all(:problems).where(id: problems).exclude(id: all(:observations).select(:problem_id)).delete
      whose
    end

    # Whoever was not heard since.
    def take_children
      gone = its(:children).exclude(id: all(:observations).select(:child_id))
      Records::Erasing.note(@room, gone.select_map(:id))
      gone.delete
    end
  end
end
