# frozen_string_literal: true

module Records
  # When a class met its activities, pictures, situations and ranges: in a lesson that was held, or in one that is
  # planned for a day to come.
  class Met
    # @param room [Classroom]
    # @param today [Date]
    def initialize(room, today)
      @room = room
      @today = today
    end

    # @param up_to [Date] with it
    # @param except [LessonPart, nil] as if it were not there
    # @return [Hash{Array(String, String) => Date}] by thing, the last day it was there
    def last(up_to:, except: nil)
      there = parts.select { |part| part[:held_on] <= up_to && part[:id] != except&.id }
      there.each_with_object(known) { |part, met| things(part).each { |thing| met[thing] = part[:held_on] } }
    end

    # @param before [Date]
    # @return [Hash{String => Rungs::Planning::DueAgain}] activities that are to come back; not the usual ones
    def due(before:)
      there = parts.select { |part| part[:held_on] < before }.group_by { |part| part[:kind] }
      days = there.except(*Rungs::Activity::USUAL, Rungs::Activity::OWN.id).transform_values { |all| all.map { |part| part[:held_on] }.uniq }
      days.transform_values { |all| Rungs::Planning::DueAgain.of(all) }.compact
    end

    # @return [Hash{Integer => Array<Array(String, String)>}] by part, what came with it for the first time
    def fresh
      @fresh ||= begin
        met = where_it_began
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

    # The ranges of the first lesson are no news.
    def where_it_began
      first = parts.take_while { |part| part[:held_on] == parts.first[:held_on] }
      ranges = first.flat_map { |part| things(part) }.select { |thing| thing.first == "range" }
      { **known, **ranges.to_h { |thing| [thing, nil] } }
    end

    # In the order of the lessons.
    def parts
      @parts ||= begin
        begun = DB[:part_runs].where(part_id: Sequel[:lesson_parts][:id]).select(1).exists
        there = LessonPart.there.join(:lessons, id: :lesson_id).where(Sequel[:lesson_parts][:classroom_id] => @room.id)
        there.where(Sequel.|(begun, Sequel[:held_on] >= @today)).order(:held_on, :place, Sequel[:lesson_parts][:id])
             .select(Sequel[:lesson_parts][:id], :kind, :details, :held_on).naked.all
      end
    end

    def things(part)
      (@things ||= {})[part[:id]] ||= begin
        details, kind = Details.of(part[:details]), Rungs::Activity::ALL.fetch(part[:kind])
        options = details.options
        told = details.thrown.values.filter_map { |data| data[:situation] if data.is_a?(Hash) }
        known = Rungs::Planning::Novelty.things(kind, options, range: details.range,
                                                               situation: told.first || options["situation"])
        known | posed.fetch(part[:id], [])
      end
    end

    # Of what was posed in each part.
    # @return [Hash{Integer => Array<Array(String, String)>}]
    def posed
      @posed ||= begin
        rows = @room.problems_dataset.unordered.exclude(part_id: nil).distinct.select_map(%i[part_id situation band])
        rows.group_by(&:first).transform_values do |all|
          all.flat_map { |_, situation, band| [["range", band], (["situation", situation] if situation)] }.compact.uniq
        end
      end
    end
  end
end
