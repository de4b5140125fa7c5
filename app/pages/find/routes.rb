# frozen_string_literal: true

module Pages
  module Find
    # Finds an activity by what one wants to do, shows its first items, and puts it into a lesson.
    class Routes < Shared::Tab
      helpers Shared::ClassMargin

      SHOWN = 6

      before("/:room/?*") do
        @tab, @title = "plan", "What do you want to do?"
        @coming_day = checked(FindContract)[:day]
        refuse("That day is over; choose one to come") if @coming_day && @coming_day < today
      end

      get "/:room" do
        @form = checked(FindContract)
        @activity = activities.find { |each| each.id == @form[:activity] } || activities.first
        @seed = @form[:seed] || Random.rand(1..9999)
        @margin = class_margin { |child| "/climb/#{room.id}/children/#{child.id}" }
        erb :"find/find"
      end

      post "/:room" do
        form = checked(FindContract)
        activity = Rungs::Activity::ALL.fetch(form[:activity] || refuse("Choose an activity first"))
        kind = activity.with(options_of(activity), room.activity_settings)
        seed = form[:seed] || 1
        kind.data(seed: seed)
        lesson = room.lesson_for(coming_day)
        part = lesson.course.plan(activity.id, details: { "options" => kind.chosen, "seed" => seed })
        return go(lesson, part) if form[:now]

        env["rack.session"]["note"] = "#{activity.title} is put into #{coming_lesson}."
        redirect "/lesson/#{room.id}#{"?day=#{coming_day}" unless coming_day == today}"
      end

      helpers do
        def finds = Rungs::Activity::FINDS
        def chosen_find = @form[:finds] || activity_find || finds.keys.first
        def activity_find = Rungs::Activity::ALL[@form[:activity]]&.finds&.first
        def activities = Rungs::Activity::ALL.select { |each| each.finds.include?(chosen_find) }

        # What the form chose of an activity's options; what it does not have fits the class.
        def options_of(activity)
          activity.fitted(at_work).merge(params.slice(*activity.options.map(&:id)))
        end

        def at_work = @at_work ||= room.at_work

        def items
          (@items ||= @activity.with(options_of(@activity), room.activity_settings).items(seed: @seed)).first(SHOWN)
        end

        def cover(activity) = face(activity.with.items(seed: 1).first)

        # The picture that shows what it is about, not the question alone.
        def face(item) = (item.steps.find { |step| step.name != "ask" } || item.steps.first).layout

        def often(count) = count == 1 ? "once" : "#{count} times"

        # Slips of late that an activity brings out, and how often each.
        # @return [Array<String>]
        def seen_here(activity)
          made = evidence.slips_of_late(today).select { |slip, _| activity.slips.include?(slip.id) }
          times = made.group_by { |slip, _| slip.title }.transform_values { |all| all.sum { |_, who| who.size } }
          times.sort_by { |title, count| [-count, title] }.map { |title, count| "#{title}, #{often(count)}" }
        end

        def query(**more) = URI.encode_www_form({ finds: chosen_find, activity: @activity.id, day: coming_day, **more })

        def go(lesson, part)
          lesson.course.go(lesson.course.part(part.id))
          redirect "/conduct/#{room.id}"
        end
      end
    end
  end
end
