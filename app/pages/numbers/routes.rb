# frozen_string_literal: true

module Pages
  module Numbers
    # The addition square and its subtraction twin as a map to choose numbers from.
    class Routes < Shared::Tab
      needs :plan, see: :see_plan

      before("/:room/?*") { @page = Page.new(visitor, **checked(NumbersContract)) }

      get("/:room") { show @page }

      # The numbers chosen, as a practice part of the next lesson.
      post "/:room" do
        refuse("Choose some numbers first") if @page.facts.empty?
        course = room.start_lesson(coming_day).course
        part = course.plan(Rungs::Activity::PRACTISED.id,
                           details: Records::Details.new({ children: @page.chosen.map(&:id) }))
        part.items.add(@page.item_data)
        visitor.note "#{plural(@page.facts.size, 'problem')} put into #{coming_lesson}."
        redirect "/lesson/#{room.id}?day=#{coming_day}"
      end
    end
  end
end
