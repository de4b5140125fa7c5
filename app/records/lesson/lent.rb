# frozen_string_literal: true

module Records
  class Lesson
    # Lent by a link to whoever takes the class.
    module Lent
      # Seconds after its end in which what waited may still come by the link; and how many records it takes in all.
      AFTER = 40 * 60
      MOST_BY_LINK = 400

      # By the key of that link.
      module ByKey
        # The lesson that a link for whoever takes the class opens, on its day and until a while after its end.
        # @param key [String, nil]
        def by_substitute_key(key)
          lesson = key && first(substitute_key: key)
          lesson if lesson&.to_take?
        end
      end

      def to_take? = held_on == classroom.today && (ended_at.nil? || Time.now <= ended_at + AFTER)

      # What a substitute took down in it and stands, every child's.
      def by_substitute
        Observation.standing.where(by_link)
      end

      # Whether the link takes another record.
      def room_for_more?
        Observation.where(by_link).where(replaces_id: nil).count < MOST_BY_LINK
      end

      # Makes that link; or calls it back, and it leads nowhere.
      def ask_substitute = update(substitute_key: SecureRandom.hex(16))
      def call_back = update(substitute_key: nil)

      private

      def by_link = { classroom_id: classroom_id, substitute: true, problem_id: problems_dataset.select(:id) }
    end
  end
end
