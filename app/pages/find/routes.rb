# frozen_string_literal: true

module Pages
  module Find
    # Finds an activity by what one wants to do, shows its first items, and puts it into a lesson.
    class Routes < Shared::Tab
      needs :plan, see: :see_plan

      before("/:room/?*") do
        @form = checked(FindContract)
        @coming_day = @form[:day]
        refuse("That day is over; choose one to come") if @coming_day && @coming_day < today
      end

      get "/:room" do
        page = Page.new(self, **@form)
        Rungs::Activity::OWN.finds.include?(page.chosen_find) ? redirect(page.address_of(page.chosen_find)) : show(page)
      end

      post "/:room" do
        activity = Rungs::Activity::ALL.fetch(@form[:activity] || refuse("Choose an activity first"))
        kind = activity.with(Page.options_of(activity, room, params), room.activity_settings)
        seed = @form[:seed] || 1
        kind.data(seed: seed)
        lesson = @form[:now] ? room.start_lesson(today) : room.lesson_for(coming_day)
        part = lesson.course.plan(activity.id, details: { options: kind.chosen, seed: seed })
        return go(lesson, part) if @form[:now]

        env["rack.session"]["note"] = "#{activity.title} is put into #{coming_lesson}."
        redirect "/lesson/#{room.id}#{"?day=#{coming_day}" unless coming_day == today}"
      end

      helpers do
        def go(lesson, part)
          lesson.course.go(lesson.course.part(part.id))
          redirect "/conduct/#{room.id}"
        end
      end
    end
  end
end
