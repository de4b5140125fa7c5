# frozen_string_literal: true

module Records
  class Course
    # Problems of the teacher’s own, posed on the spot.
    module Telling
      # Poses a problem of the teacher's own: in the part going on that takes such, else in a new one after it.
      # @param told [Array<Hash>] the data of items
      # @param show [Boolean] whether it goes on the board
      # @return [PosedProblem] the one to begin with
      def tell(told, show: true, at: Time.now)
        part = current if current&.activity == Rungs::Activity::POSED
        part ||= (quiet_part(at) unless show)
        part ||= plan(Rungs::Activity::POSED.id, details: { count: 0 }, after: current)
        first = part.items.add(show ? told : told.map { |data| { **data, quiet: true } })
        shown = first + (told.index { |data| [nil, "middle"].include?(data[:number_set]) } || 0)
        told.each_index { |index| part.items.posed(first + index, at: at) }
        show_told(part, shown) if show
        part.items.posed(shown)
      end

      # A part for a problem whose own was taken out.
      # @return [LessonPart]
      def adopt(posed)
        told = Rungs::Activity::POSED.data_for(posed.problem, posed.story, template: posed.template)
        plan(Rungs::Activity::POSED.id, details: { count: 0 }).tap do |part|
          part.items.add([told])
          posed.update(part_id: part.id, item: 0)
        end
      end

      private

      # Where a problem goes that is not for the board: to the last such part that began, never into one that is only
      # planned; else into one of its own, which is done with it.
      def quiet_part(at)
        there = parts.reverse.find { |each| each.activity == Rungs::Activity::POSED && each.begun? }
        there || plan(Rungs::Activity::POSED.id, details: { count: 0 }).tap do |part|
          PartRun.create(part_id: part.id, started_at: at, ended_at: at)
          forget
        end
      end

      def show_told(part, item)
        part.running? ? @lesson.show_item(part, item) : go(part)
      end
    end
  end
end
