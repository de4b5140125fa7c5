# frozen_string_literal: true

module Rungs
  module Planning
    # What is new to a class: an activity, a picture, a situation or a range that it has not met (guide 11).
    #
    # A thing is what it is and its id: ["activity", "twins"], ["picture", "rack"], ["situation", "add_to.change"],
    # ["range", "teens"]. What a class has met are such things, as the keys of a hash.
    module Novelty
      # Every class begins with the usual parts of a lesson and their pictures, with the first story of each operation,
      # and in some range.
      SITUATIONS = Problem::OPERATIONS.map { |operation| Problem::Situation.taught(operation).first.id }.freeze

      module_function

      # @param kind [Class] an activity
      # @param options [Hash{String => Object}] what was chosen of it
      # @param situation [String, nil] of its problems
      # @param range [String, nil] the band its numbers are for
      # @return [Array<Array(String, String)>]
      def things(kind, options, situation: nil, range: nil)
        [["activity", kind.id], (["range", range] if range), (["situation", situation] if situation),
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
        fresh = things.reject { |thing| met.key?(thing) || begins_with?(*thing, met) }
        new_activity = fresh.any? { |what, _| what == "activity" }
        fresh.reject { |thing| new_activity && thing.first == "picture" }
      end

      # @return [String] a thing in words
      def title(what, id)
        case what
        when "activity" then Activity::ALL.fetch(id).title.downcase
        when "situation" then "the story “#{Problem::Situation::ALL.fetch(id).title}”"
        when "range" then "numbers #{Problem::Band::ALL.fetch(id).title}"
        else "the picture “#{Picture::KINDS.fetch(id).title.downcase}”"
        end
      end

      def begins_with?(what, id, met)
        case what
        when "activity" then Activity::USUAL.include?(id)
        when "situation" then SITUATIONS.include?(id)
        when "picture" then usual_pictures.include?(id)
        else within?(id, met)
        end
      end

      # A smaller range lies in the widest that was met; where none was, the class begins here.
      def within?(range, met)
        widest = met.keys.filter_map { |what, id| id if what == "range" }.max_by { |id| Ranges.place(id) }
        widest.nil? || !Ranges.beyond?(range, widest)
      end

      def usual_pictures
        @usual_pictures ||= Activity::USUAL.flat_map { |id| shown(Activity::ALL.fetch(id).with.items(seed: 1)) }.uniq
      end
      private_class_method :shown, :begins_with?, :within?, :usual_pictures
    end
  end
end
