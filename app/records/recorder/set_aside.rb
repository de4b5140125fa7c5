# frozen_string_literal: true

module Records
  class Recorder
    # What a substitute took down counts no more, or again, all at once.
    module SetAside
      # Takes all that a substitute took down in a lesson out of every count, until it is brought back.
      # @param lesson [Lesson]
      # @return [Integer] how many
      def put_aside(lesson)
        together(lesson.by_substitute.select_map(:first_key)) do |keys|
          keys.each { |key| undo(key, client_key: SecureRandom.uuid) }
          lesson.update(set_aside: Sequel.pg_jsonb(lesson.set_aside.to_a | keys))
        end
      end

      # What was set aside counts again, as it was.
      # @return [Integer] how many
      def bring_back(lesson)
        together(lesson.set_aside.to_a) do |keys|
          keys.each { |key| restore(key) }
          lesson.update(set_aside: nil)
        end
      end

      private

      # Many records at once; estimates are made anew at the end.
      def together(keys)
        children = @classroom.observations_dataset.where(first_key: keys).distinct.select_map(:child_id)
        DB.transaction do
          @carry = false
          yield keys
          Ledger.new(@classroom).rebuild(children)
        end
        keys.size
      ensure
        @carry = true
      end

      def restore(first_key)
        versions = @classroom.observations_dataset.where(first_key: first_key).order(:id).all
        was = versions.reverse.find { |version| !version.undone }
        return unless was && versions.last.undone

        add(was.values.slice(*KEPT, :account_id, :substitute), SecureRandom.uuid, was.posed_problem,
            replaces: versions.last, by: {})
      end
    end
  end
end
