# frozen_string_literal: true

module Records
  class Classroom
    # How it does things on which teachers differ.
    module Customs
      # @param id [String] of Rungs::Planning::Setting::ALL
      # @return [String] this class's choice, else the usual one
      def setting(id) = Rungs::Planning::Setting::ALL.fetch(id).choice(settings[id])

      # What an activity is told of the class: its settings, which facts are due, and which two ways were heard.
      def activity_settings
        { **pictured, turned: setting("turned"), minus: setting("minus").tr("_", " "), signs: setting("signs"),
                      facts: ->(operation) { due_facts[operation] }, names: -> { called },
                      book: -> { book },
                      ways_heard: -> { ways_heard } }
      end

      # Two ways of today's lesson, looked for once.
      def ways_heard
        return @ways_heard if defined?(@ways_heard)

        @ways_heard = lesson_on(today)&.ways_heard
      end

      # First names, as they are called out.
      def called = children.map { |child| child.name.split.first }

      # How pictures are drawn for it.
      # @return [Hash{Symbol => Symbol, Boolean}]
      def pictured
        { fill: setting("fill").to_sym, whole: setting("whole").to_sym, fingers: setting("fingers") == "welcome" }
      end

      # More settings beside those there are now, whoever else sets one.
      # @param more [Hash{String => Object}]
      def merge_settings(more) = change_settings { more }

      # @yieldparam there [Hash{String => Object}] as they are now, while nobody else changes them
      # @yieldreturn [Hash{String => Object}] what is different
      def change_settings
        db.transaction do
          lock!("FOR NO KEY UPDATE")
          update(settings: Sequel.pg_jsonb(settings.to_h.merge(yield(settings.to_h))))
        end
      end

      # @return [Array<Array(Integer, Integer)>] pairs of children that are not to be in one group
      def apart = settings["apart"].to_a.map(&:to_a)

      # @param pair [Array(Integer, Integer)] children's ids, the smaller first
      def keep_apart(pair, together: false)
        change_settings { { "apart" => together ? apart - [pair] : (apart + [pair]).uniq } }
      end
    end
  end
end
