# frozen_string_literal: true

module Records
  # What the teachers of a class wrote themselves, a row each: kind and content as Rungs::Own has them.
  class Own < Sequel::Model(:own)
    many_to_one :classroom, class: "Records::Classroom"
    plugin :timestamps, create: :at

    dataset_module do
      # What was not taken out.
      def not_removed = where(removed_at: nil)
    end

    class << self
      # @param kinds [Array<String>] of Rungs::Own::ALL
      # @return [Array<Own>] in the order in which they were written
      def of(room, *kinds) = not_removed.where(classroom_id: room.id, kind: kinds).order(:id).all

      # @param written [Rungs::Own::Part] or another of its kinds
      # @param brought [Integer, nil] under which it can be taken back
      # @return [Own] the one that is there where the same was written already
      # @raise [Rungs::Error::TooMany]
      def store(room, written, brought: nil)
        kind, content = written.class.id, Sequel.pg_jsonb(written.json_fields)
        not_removed.first(classroom_id: room.id, kind: kind, content: content) || begin
          check_room(room, kind)
          create(classroom_id: room.id, kind: kind, content: content, brought_id: brought)
        end
      end

      # Of a slip there is one question: the last.
      def ask(room, question)
        DB.transaction do
          not_removed.where(classroom_id: room.id, kind: "question").where(SLIP => question.slip).delete
          store(room, question)
        end
      end

      # @raise [Rungs::Error::TooMany] where a class has as many of a kind as it keeps
      def check_room(room, kind)
        return if not_removed.where(classroom_id: room.id, kind: kind).count < Rungs::Own::MOST

        raise Rungs::Error::TooMany, "A class keeps #{Rungs::Own::MOST} of these. Take one out first."
      end
    end

    SLIP = Sequel.lit("content ->> 'slip'")
    private_constant :SLIP

    # @return [Rungs::Own::Part] or another of its kinds
    def written = @written ||= Rungs::Own::ALL.fetch(kind).of(content)

    # Taken out, to be put back or not.
    def take_out = update(removed_at: Time.now)

    # @raise [Rungs::Error::TooMany]
    def put_back
      self.class.check_room(classroom, kind)
      update(removed_at: nil)
    end

    # Other words in its place; lessons to come that have it as it was get them too.
    # @param written [Rungs::Own::Part]
    def change(written)
      before = content.to_h
      DB.transaction do
        update(content: Sequel.pg_jsonb(written.json_fields))
        planned.each { |part| part.write(written) if part.details.own == before }
      end
      @written = nil
    end

    private

    # Parts of one's own that have not begun.
    def planned
      LessonPart.not_removed.where(classroom_id: classroom_id, kind: Rungs::Activity::OWN.id).all.reject(&:begun?)
    end
  end
end
