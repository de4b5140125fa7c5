# frozen_string_literal: true

module Exchange
  module Archive
    # Lessons of a class by their days.
    module Days
      module_function

      # @return [Integer] that day's, made where there is none
      def lesson(room, day, brought)
        DB[:lessons].insert_conflict(target: %i[classroom_id held_on], update: { held_on: Sequel[:excluded][:held_on] })
                    .insert(classroom_id: room.id, held_on: day, brought_id: brought, created_at: Time.now)
      end
    end
  end
end
