# frozen_string_literal: true

module Pages
  module Lessons
    # A lesson as a list of parts in order: planned, begun, gone through, stopped and gone on with another day.
    class Routes < Shared::Tab
      needs :plan, see: :see_plan, %r{/(go|unfinish|resume)\z} => :conduct

      get("/:room") { show Page.new(visitor, **checked(DayContract)) }

      post "/:room/usual" do
        form = checked(DayContract)
        course(form[:day]).plan_usual
        redirect here(form[:day])
      end

      post "/:room/parts/:part" do
        form = checked(PlaceContract)
        part = found_part
        case form[:do]
        when "remove" then take_out(part)
        when "minutes" then part.update(minutes: form[:minutes] || part.minutes)
        else part.lesson.course.shift(part, form[:do] == "earlier" ? -1 : 1)
        end
        redirect here(part.lesson.held_on)
      end

      # A part to where another stands.
      post "/:room/order" do
        part, other = checked(OrderContract).values_at(:item, :place).map { |id| room.part(id) || halt(404) }
        refuse("Those are parts of two lessons") unless part.lesson_id == other.lesson_id
        part.lesson.course.move(part, other)
        redirect here(part.lesson.held_on)
      end

      # Undoes taking a part out.
      post "/:room/parts/:part/back" do
        part = room.part_out(params[:part][/\A\d{1,17}\z/]) || halt(404)
        part.lesson.course.put_back(part)
        redirect here(part.lesson.held_on)
      end

      # Undoes finishing: the lesson goes on where it was left; boards are opened anew.
      post "/:room/unfinish" do
        lesson = room.lesson_on(today) || halt(404)
        lesson.reopen
        lesson.course.go_on
        redirect lesson.course.current ? conducted : home
      end

      # A link for whoever takes the class that day, or none any more.
      post "/:room/substitute" do
        form = checked(DayContract)
        lesson = room.lesson_for(form[:day] || today)
        form[:off] ? lesson.call_back : lesson.ask_substitute
        note_act(form[:off] ? "called_back" : "link", room)
        redirect "#{here(lesson.held_on)}#substitute"
      end

      # What a substitute took down that day, out of every count; or back into them.
      post "/:room/aside" do
        form = checked(DayContract)
        lesson = room.lesson_on(form[:day] || today) || halt(404)
        recorder = Records::Recorder.new(room, person)
        many = form[:off] ? recorder.bring_back(lesson) : recorder.put_aside(lesson)
        note_act(form[:off] ? "counted_again" : "set_aside", room)
        visitor.note "#{plural(many, 'answer')} of the substitute #{form[:off] ? 'count again' : 'set aside'}."
        redirect "#{here(lesson.held_on)}#substitute"
      end

      # Start, on, back, skip, one part by its id; or its end: stopped, to go on another day, or finished.
      post "/:room/go" do
        to = checked(GoContract)[:to]
        return finish(done: to == "finish") if %w[stop finish].include?(to)

        course = room.start_lesson(today).course
        course.plan_usual if course.parts.empty?
        to == "skip" ? course.skip : course.go(target(course, to))
        redirect course.current ? conducted : home
      end

      # What the last lesson left undone, today.
      post "/:room/resume" do
        last = room.unfinished(today) || halt(404)
        course = room.start_lesson(today).course
        course.take_over(last.course)
        course.go(course.left.first)
        redirect conducted
      end

      helpers do
        # A plan may be made for a day to come; the lesson of that day begins when it is started.
        def course(day) = room.lesson_for(day || today).course
        def conducted = "/conduct/#{room.id}"

        def here(day) = "/lesson/#{room.id}#{"?day=#{day}" if day && day != today}"

        def found_part = room.part(params[:part]) || halt(404)

        def take_out(part)
          part.lesson.course.take_out(part)
          visitor.note("#{part.title} is taken out.", undo: "/lesson/#{room.id}/parts/#{part.id}/back")
        end

        def target(course, to)
          part = case to
                 when "start" then course.current || course.left.first
                 when "on" then course.neighbour(1)
                 when "back" then course.neighbour(-1)
                 else course.part(to)
                 end
          part || refuse("There is no such part in this lesson")
        end

        def finish(done:)
          (lesson_today || redirect(home)).finish(done: done)
          visitor.note("The lesson #{done ? 'is done' : 'has stopped'}, and its board code has ended with it.",
                       undo: "/lesson/#{room.id}/unfinish")
          redirect home
        end
      end
    end
  end
end
