# frozen_string_literal: true

module Records
  # When a class met its activities, pictures and situations: in a lesson that was held, or in one that is
  # planned for a day to come.
  class ActivityHistory
    # Places in a day that count as its focus.
    FOCUS = [nil, "focus"].freeze
    private_constant :FOCUS

    # @param room [Classroom]
    # @param today [Date]
    def initialize(room, today)
      @room = room
      @today = today
    end

    # @param up_to [Date] with it
    # @param except [LessonPart, nil] as if it were not there
    # @return [Hash{Array(String, String) => Date}] by thing, the last day it was there
    def last_days(up_to:, except: nil)
      there = parts.select { |part| part[:held_on] <= up_to && part[:id] != except&.id }
      there.each_with_object(known) { |part, met| things(part).each { |thing| met[thing] = part[:held_on] } }
    end

    # @param before [Date]
    # @return [Hash{String => Rungs::Planning::DueAgain}] activities that are to come back; not the usual ones
    def due_again(before:) = coming_back(before: before).compact

    # @return [Hash{String => Rungs::Planning::DueAgain, nil}] the same, nil where one came back often enough
    def coming_back(before:)
      there = parts.select { |part| part[:held_on] < before }.group_by { |part| part[:kind] }
      found = there.except(*Rungs::Activity::USUAL, Rungs::Activity::OWN.id)
      days = found.transform_values { |all| all.map { |part| part[:held_on] }.uniq }
      days.transform_values { |all| Rungs::Planning::DueAgain.of(all) }
    end

    # @param before [Date]
    # @return [Hash{String => Array<Date>}] by activity, the days on which it was a focus, or stood by itself
    def focus_days(before:)
      there = parts.select { |part| part[:held_on] < before && FOCUS.include?(Details.read(part[:details]).purpose) }
      there.group_by { |part| part[:kind] }.transform_values { |all| all.map { |part| part[:held_on] }.uniq }
    end

    # @return [Hash{Integer => Array<Array(String, String)>}] by part, what came with it for the first time
    def new_things
      @new_things ||= begin
        met = known
        parts.to_h do |part|
          here = things(part)
          new = Rungs::Planning::Novelty.new_of(here, met)
          here.each { |thing| met[thing] = part[:held_on] }
          [part[:id], new]
        end
      end
    end

    private

    # What the teacher ticked as known when the class began.
    def known = @room.settings["knows"].to_a.to_h { |id| [["activity", id], nil] }

    # In the order of the lessons.
    def parts
      @parts ||= begin
        begun = DB[:part_runs].where(part_id: Sequel[:lesson_parts][:id]).select(1).exists
        there = LessonPart.not_removed.join(:lessons,
                                            id: :lesson_id).where(Sequel[:lesson_parts][:classroom_id] => @room.id)
        there.where(Sequel.|(begun, Sequel[:held_on] >= @today)).order(:held_on, :place, Sequel[:lesson_parts][:id])
             .select(Sequel[:lesson_parts][:id], :kind, :details, :held_on).naked.all
      end
    end

    def things(part)
      (@things ||= {})[part[:id]] ||= begin
        details, kind = Details.read(part[:details]), Rungs::Activity::ALL.fetch(part[:kind])
        options = details.options
        told = details.thrown.values.filter_map { |data| data[:situation] if data.is_a?(Hash) }
        known = Rungs::Planning::Novelty.things(kind, options, situation: told.first || options["situation"])
        known | posed.fetch(part[:id], [])
      end
    end

    # Of what was posed in each part.
    # @return [Hash{Integer => Array<Array(String, String)>}]
    def posed
      @posed ||= begin
        rows = @room.problems_dataset.unordered.exclude(part_id: nil).exclude(situation: nil).distinct
        rows.select_map(%i[part_id situation]).group_by(&:first)
            .transform_values { |all| all.map { |_, situation| ["situation", situation] } }
      end
    end
  end
end
