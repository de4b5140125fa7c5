# frozen_string_literal: true

module Records
  # Takes a child out of a class for good: the name, the records and all that was kept by the child's id. Stories that
  # name the child are the teacher's words; in them invented_name name is put where that is asked for.
  class Erasing
    # @param child [Child] on the list, or off it
    def initialize(child)
      @child = child
      @room = child.classroom
      @named = /(?<!\p{L})#{Regexp.escape(child.name)}(?!\p{L})/
    end

    # So that a copy which is brought back brings none of them back.
    # @param ids [Array<Integer>] of children
    def self.note(room, ids)
      DB[:erased].insert_conflict.multi_insert(ids.map { |id| { child_id: id, class_key: room.key, at: Time.now } })
    end

    # @return [Array<String>] each once
    def stories
      @stories ||= (posed.select_map(:story) + texts_of_parts + own.flat_map do |each|
        Texts.of(each.content)
      end).grep(@named).uniq
    end

    # @return [Hash{Symbol => Integer}] how much goes with the child
    def amounts
      of = { classroom_id: @room.id, child_id: @child.id }
      { records: Observation.standing.where(of).count, photos: Photo.where(of).count,
        ways: DB[:way_givers].where(child_id: @child.id).count, notes: FamilyNote.where(of).count,
        home: HomeAnswer.where(of).count }
    end

    # @param stories [Boolean] whether the name goes out of stories too
    def call(stories: true)
      DB.transaction do
        written.forget_files
        written.notes { |words| renamed(words) }
        written.reasons { |words| words.gsub(@named, "somebody") }
        written.stories { |words| renamed(words) } if stories
        forget_in_lessons
        forget_in_parts
        @room.change_settings { { "apart" => @room.apart.reject { |pair| pair.include?(@child.id) } } }
        forget_initials
        forget_in_visits
        DB[:memberships].where(classroom_id: @room.id).update(drafts: Sequel.lit("'{}'"))
        Erasing.note(@room, [@child.id])
        @child.delete
      end
    end

    private

    def written = @written ||= WrittenWords.new(@room)
    def posed = @room.problems_dataset.exclude(story: "")
    def parts = LessonPart.where(classroom_id: @room.id)

    def own = Own.where(classroom_id: @room.id).all

    # What is said in parts: stories, and what a teacher wrote.
    def texts_of_parts
      parts.all.flat_map { |part| Texts.of([*part.details.thrown.values.map { |data| said(data) }, part.details.own]) }
    end

    # Of an item, its words; ways are told by invented children.
    def said(data) = data.is_a?(Hash) ? data.slice(:words, :title, :lines) : nil

    # Listening lists and saved groups.
    def forget_in_lessons
      @room.lessons_dataset.exclude(listening: nil, groups: nil).each do |lesson|
        listening = lesson.listening&.reject { |turn| turn["child"] == @child.id }
        groups = lesson.groups&.map { |group| group.to_a - [@child.id] }&.reject(&:empty?)
        lesson.update(listening: listening && Sequel.pg_jsonb(listening), groups: groups && Sequel.pg_jsonb(groups))
      end
    end

    # For whom a part and its sets of numbers are.
    def forget_in_parts
      parts.each do |part|
        there = part.details
        sets = there.sets.map { |level, children| { level: level, children: children - [@child.id] } }
        part.merge_details(children: there.children - [@child.id], sets: (sets if sets.any?))
      end
    end

    # A way stays; whose letter stood beside it goes.
    def forget_initials
      Way.where(id: DB[:way_givers].where(child_id: @child.id).select(:way_id)).each do |way|
        others = DB[:way_givers].where(way_id: way.id).exclude(child_id: @child.id).select(:child_id)
        way.update(initials: Child.where(id: others).select_order_map(:name).map { |name| name[0] }.join(" "))
      end
    end

    # Whom a coach was to hear.
    def forget_in_visits
      Visit.where(classroom_id: @room.id).each do |visit|
        visit.update(children: Sequel.pg_jsonb(visit.children.to_a - [@child.id]))
      end
    end

    def renamed(text) = text.gsub(@named, invented_name)

    # An invented name that nobody in the class has.
    def invented_name
      taken = @room.children_dataset.unordered.select_map(:name)
      @invented_name ||= (Rungs::Problem::Story::NAMES - taken).first || "Somebody"
    end
  end
end
