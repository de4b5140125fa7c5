# frozen_string_literal: true

module Pages
  module Substitute
    # A lesson opened by its link, without an account, by whoever takes the class: on its day, and until the link is
    # called back.
    class Routes < Shared::Base
      get %r{/([0-9a-f]{32})} do |key|
        @lesson = Records::Lesson.first(substitute_key: key) || halt(404)
        next closed unless @lesson.to_take?

        @visitor = visitor.taking(@lesson)
        note_act("substitute", room, counted: true) unless visitor.link == key
        visitor.keep_link key
        show Page.new(visitor, @lesson)
      end

      not_found { closed }

      helpers do
        def closed = show(ClosedPage.new(visitor, lesson: @lesson))
      end
    end
  end
end
