# frozen_string_literal: true

module Records
  # All words of a class in which somebody may have written a child's name, each given to a block that says what it is
  # to be instead.
  class WrittenWords
    # @param room [Classroom]
    def initialize(room)
      @room = room
    end

    # What is said of a lesson, a week, a visit, or a file that came in; never a story.
    # @yieldparam words [String]
    # @yieldreturn [String]
    def notes(&change)
      parts.each { |part| part.merge_details(note: part.details.note&.then(&change)) }
      Visit.where(classroom_id: @room.id).each do |visit|
        visit.update(Visit::WORDS.to_h { |name| [name, yield(visit[name])] })
      end
      columns(:weeks, :i_can, &change)
      columns(:brought, :name, &change)
    end

    # Why a part is there, which may name who is to be heard.
    # @yieldparam words [String]
    # @yieldreturn [String]
    def reasons(&change) = parts.each { |part| part.merge_details(why: part.details.why&.then(&change)) }

    # The teacher's own: stories, those told in a lesson, and what an own part or word says.
    # @yieldparam words [String]
    # @yieldreturn [String]
    def stories(&change)
      columns(:problems, :story, &change)
      parts.each do |part|
        there = part.details
        part.merge_details(thrown: there.thrown.transform_values { |data| with_texts(data, &change) },
                           own: Texts.each(there.own, &change))
      end
      Own.where(classroom_id: @room.id).each do |own|
        own.update(content: Sequel.pg_jsonb(Texts.each(own.content.to_h, &change)))
      end
    end

    # What was made of the class, or waits to be brought into it, holds names that nobody can take out.
    def forget_files
      [Job, Upload].each { |files| files.where(classroom_id: @room.id).delete }
    end

    private

    def parts = LessonPart.where(classroom_id: @room.id)

    # Of an item, its words; ways are told by invented children.
    def with_texts(data, &)
      data.is_a?(Hash) ? { **data, **Texts.each(data.slice(:words, :title, :lines), &) } : data
    end

    def columns(table, column)
      rows = DB[table].where(classroom_id: @room.id).exclude(column => nil)
      rows.select_map(column).uniq.each do |words|
        changed = yield words
        rows.where(column => words).update(column => changed) unless changed == words
      end
    end
  end
end
