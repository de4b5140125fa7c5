# frozen_string_literal: true

module Pages
  module Find
    # Finds an activity by what one wants to do, shows its first items, and puts it into a lesson.
    class Routes < Shared::Tab
      needs :plan, see: :see_plan

      helpers Shared::IntoLesson

      before("/:room/?*") do
        @form = checked(FindContract)
        refuse("That day is over; choose one to come") if @form[:day] && @form[:day] < today
      end

      get "/:room" do
        page = Page.new(visitor, **@form, params: params)
        Rungs::Activity::OWN.finds.include?(page.chosen_find) ? redirect(page.address_of(page.chosen_find)) : show(page)
      end

      post "/:room" do
        activity = Rungs::Activity::ALL.fetch(@form[:activity] || refuse("Choose an activity first"))
        kind = activity.with(Page.options_of(activity, room, params), room.activity_settings)
        seed = @form[:seed] || 1
        kind.data(seed: seed)
        into_lesson(activity, day: @form[:day] || coming_day, now: @form[:now],
                              details: { options: kind.chosen, seed: seed })
      end
    end
  end
end
