# frozen_string_literal: true

module Pages
  module Substitute
    # A lesson opened by its link, without an account, by whoever takes the class: on its day, and until the link is
    # called back.
    class Routes < Shared::Base
      helpers Shared::ClassMargin

      get %r{/([0-9a-f]{32})} do |key|
        @lesson = Records::Lesson.first(substitute_key: key) || halt(404)
        @tab, @title = "substitute", "The lesson"
        next closed unless open?

        env["rungs.substitute"] = @lesson
        note_act("substitute", room, counted: true) unless env["rack.session"]["substitute"] == key
        env["rack.session"]["substitute"] = key
        @parts = Sheets::LessonPapers.new(@lesson).told
        @hushed = true
        @margin = class_margin(next_up: listening.waiting(today).map(&:child)) { "" }
        erb :"substitute/lesson"
      end

      not_found { closed }

      helpers do
        def closed
          @title = "A lesson"
          erb :"substitute/closed"
        end

        def to_come? = @lesson.held_on > @lesson.classroom.today
        def open? = @lesson.to_take?

        # Whether it is the class of who looks at it.
        def own? = !Records::Account.classroom_of(env["rodauth"].session_value, room.id).nil?
        def course = @lesson.course
        def cautions = @parts.flat_map(&:cautions).uniq
        def here_on(day) = I18n.with_locale(@lesson.classroom.setting("region")) { long_date(day) }
      end
    end
  end
end
