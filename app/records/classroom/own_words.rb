# frozen_string_literal: true

module Records
  class Classroom
    # What its teachers wrote themselves, as it is used: stories told with it, questions asked.
    module OwnWords
      # @return [Rungs::Problem::Book] the usual stories, with one's own words among them
      def book
        @book ||= begin
          own = Own.of(self, "thing", "place", "person").group_by(&:kind)
          written = own.transform_values { |rows| rows.map(&:written) }
          people = [*written["person"]&.map(&:name), *(called if setting("children_in_stories") == "yes")]
          Rungs::Own::Book.new(things: written.fetch("thing", []), places: written.fetch("place", []), people: people,
                               share: setting("own_words"))
        end
      end

      # What to ask where a slip was made: one's own question, else the usual one.
      # @param slip [Rungs::Slip]
      # @param problem [Rungs::Problem]
      def asks(slip, problem) = questions[slip.key] || slip.ask(problem)

      # @return [Hash{String => String}] one's own questions, by the key of a slip
      def questions = @questions ||= Own.of(self, "question").to_h { |own| own.written.to_h.values }

      # @return [Array<String>] what parts of one's own need
      def own_things
        parts = LessonPart.not_removed.where(classroom_id: id, kind: Rungs::Activity::OWN.id).all
        parts.flat_map { |part| part.items.kind.materials.map(&:thing) }
      end
    end
  end
end
