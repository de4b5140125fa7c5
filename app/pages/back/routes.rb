# frozen_string_literal: true

module Pages
  module Back
    # Looking back on a lesson, a week or a term, on one page.
    class Routes < Shared::Tab
      helpers Shared::ClassMargin

      TERM_DAYS = 13 * 7
      VIEWS = %w[lesson week term].freeze

      get "/:room" do
        form = checked(BackContract)
        @tab, @title = "climb", "Look back"
        @view = form[:view] || "lesson"
        @day = form[:day] || room.heard_up_to(today) || today
        @back = Records::LookBack.new(room, evidence, *span)
        @margin = class_margin { |child| "/climb/#{room.id}/children/#{child.id}" }
        erb :"back/back"
      end

      helpers do
        # The first and the last day looked back on.
        def span
          monday = @day - ((@day.wday - 1) % 7)
          { "lesson" => [@day, @day], "week" => [monday, monday + 6], "term" => [@day - TERM_DAYS, @day] }.fetch(@view)
        end

        def doing(rung, band)
          Rungs::Strategy::Rung.told(rung, among: Rungs::Problem::Band::ALL.fetch(band).rungs, &:doing)
        end

        def span_title
          return long_date(@day) if @view == "lesson"

          "#{short_date(@back.from)} to #{short_date(@back.to)}"
        end

        # The day before or after this one on which somebody was heard.
        def beside(step) = step.positive? ? room.heard_after(@day) : room.heard_before(@day)
      end
    end
  end
end
