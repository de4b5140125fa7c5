# frozen_string_literal: true

module Rungs
  module Planning
    # What is new to a class: an activity, a picture or a situation that it has not met (guide 11); never the numbers,
    # which are those of its week.
    #
    # A thing is what it is and its id: ["activity", "twins"], ["picture", "rack"], ["situation", "add_to.change"].
    # What a class has met are such things, as the keys of a hash.
    module Novelty
      # Every class begins with the usual parts of a lesson and their pictures, and with the first story of each
      # operation.
      SITUATIONS = Problem::OPERATIONS.map { |operation| Problem::Situation.taught(operation).first.id }.freeze

      module_function

      # @param kind [Class] an activity
      # @param options [Hash{String => Object}] what was chosen of it
      # @param situation [String, nil] of its problems
      # @return [Array<Array(String, String)>]
      def things(kind, options, situation: nil)
        [["activity", kind.id], (["situation", situation] if situation),
         *pictures(kind, options).map { |id| ["picture", id] }].compact
      end

      # @return [Array<String>] the kinds of picture that an activity shows, with these choices
      def pictures(kind, options)
        (@pictures ||= {})[[kind.id, options]] ||= shown(kind.with(options).items(seed: 1, count: 1))
      rescue Error::NotAProblem, Error::TooMany
        []
      end

      # @param items [Array<Activity::Item>]
      def shown(items)
        steps = items.flat_map(&:steps)
        layouts = steps.flat_map { |step| [step.layout, step.beside] }
        layouts.filter_map { |layout| layout&.kind }.map { |kind| kind.class.id }.uniq & Picture::KINDS.ids
      end

      # A new activity brings its pictures with it; else each thing counts.
      # @param met [Hash{Array(String, String) => Object}]
      # @return [Array<Array(String, String)>] what of these things was not met
      def new_of(things, met)
        fresh = things.reject { |thing| met.key?(thing) || begins_with?(*thing) }
        new_activity = fresh.any? { |what, _| what == "activity" }
        fresh.reject { |thing| new_activity && thing.first == "picture" }
      end

      # @return [String] a thing in words
      def title(what, id)
        case what
        when "activity" then Activity::ALL.fetch(id).title.downcase
        when "situation" then "the story “#{Problem::Situation::ALL.fetch(id).title}”"
        else "the picture “#{Picture::KINDS.fetch(id).title.downcase}”"
        end
      end

      def begins_with?(what, id)
        case what
        when "activity" then Activity::USUAL.include?(id)
        when "situation" then SITUATIONS.include?(id)
        else usual_pictures.include?(id)
        end
      end

      def usual_pictures
        @usual_pictures ||= Activity::USUAL.flat_map { |id| shown(Activity::ALL.fetch(id).with.items(seed: 1)) }.uniq
      end
      private_class_method :shown, :begins_with?, :usual_pictures
    end
  end
end
