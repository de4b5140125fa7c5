# frozen_string_literal: true

module Pages
  module Shared
    # What stands around every page: its tabs, other classes, keys, and how it is explained. The layout asks it.
    module Frame
      # For a coach, in the place of the tabs that are not theirs.
      VISITS = { "coach" => "Visits" }.freeze
      SECTIONS = { "today" => "Today", "plan" => "Plan", "board" => "Board", "listen" => "Listen", "climb" => "Climb",
                   "sheets" => "Sheets", "records" => "Records" }.freeze
      TAB_NEEDS = { "today" => :see_plan, "plan" => :see_plan, "board" => :conduct, "listen" => :record,
                    "climb" => :ladders, "sheets" => :print, "records" => :keep }.freeze

      # @param looks_only [Boolean] whether everything that changes something is another's here
      # @return [String] HTML
      def in_frame(looks_only: false)
        partial(:"shared/layout", looks_only: looks_only, drawn: drawn, margin: margin)
      end

      # The tabs there are, by their path; who conducts listens where the part that goes on is conducted.
      def sections
        unless substitute?
          mine = SECTIONS.select { |path, _| may?(TAB_NEEDS.fetch(path)) }
          mine = VISITS.merge(mine) if may?(:visit)
          return mine.transform_keys { |path| "#{path == 'listen' && going_on_course ? 'conduct' : path}/#{room.id}" }
        end

        { home.delete_prefix("/") => "The lesson", "board/#{room.id}" => "Board", "listen/#{room.id}" => "Listen" }
      end

      def current?(path, name) = path.start_with?("#{tab}/") || (tab == "listen" && name == "Listen")

      # Other classes of the same person.
      def other_classes = person.own_classes.reject { |other| other.id == room.id }
      def coached? = person.coached.any?

      # What the keys do here.
      # @return [Hash{Symbol => String}]
      def keys_here
        everywhere = I18n.t("keys.everywhere")
        { **I18n.t("keys.#{tab}", default: {}), **(substitute? ? everywhere.except(:search) : everywhere) }
      end

      # The lesson that goes on, for who may conduct it.
      # @return [Records::Course, nil]
      def going_on_course
        course = lesson_today&.course if room && may?(:conduct)
        course if course&.current
      end
    end
  end
end
