# frozen_string_literal: true

module Records
  # One quick look of a lesson, and the ways it was seen.
  class Look < Sequel::Model(:looks)
    many_to_one :lesson, class: "Records::Lesson"
    one_to_many :ways, class: "Records::LookWay", order: :id

    # Makes a set for a lesson and keeps it.
    # @param looks [Array<Rungs::Activity::QuickLook>]
    # @return [Array<Look>]
    def self.keep(lesson, looks, seconds:, part: nil)
      kept = { classroom_id: lesson.classroom_id, lesson_id: lesson.id, part_id: part&.id, seconds: seconds }
      looks.map { |look| create(**kept, number: look.number, arrangement: look.arrangement, seed: look.seed) }
    end

    # @return [Rungs::Activity::QuickLook]
    def look = @look ||= Rungs::Activity::QuickLook.again(number, arrangement, seed)

    # The same way again only gets a tally.
    # @param way [Rungs::Picture::Way]
    def add_seen(way, initials: "")
      again = { tally: Sequel[:look_ways][:tally] + 1,
                initials: Sequel.function(:btrim, Sequel.join([Sequel[:look_ways][:initials], initials], " ")) }
      LookWay.dataset.insert_conflict(target: %i[look_id text], update: again)
             .insert(classroom_id: classroom_id, look_id: id, text: way.text, groups: Sequel.pg_jsonb(way.groups),
                     initials: initials)
    end
  end
end
