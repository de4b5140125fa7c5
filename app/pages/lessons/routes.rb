# frozen_string_literal: true

module Pages
  module Lessons
    # A lesson as a list of parts in order: planned, begun, gone through, stopped and gone on with another day.
    class Routes < Shared::Tab
      helpers Shared::ClassMargin

      # Where a part is conducted, by its kind.
      PLACES = {
        "story" => ->(room, posed) { posed ? "/listen/#{room}?problem=#{posed.id}" : "/plan/#{room}" },
        "share" => ->(room, posed) { posed ? "/share/#{room}?problem=#{posed.id}" : "/plan/#{room}" },
        "practice" => ->(room, _) { "/lesson/#{room}/practice" }
      }.freeze

      # @param posed [Records::PosedProblem, nil] the one at hand
      # @return [String] the address where a part is conducted
      def self.place(room, part, posed)
        part.items ? "/conduct/#{room.id}" : PLACES.fetch(part.kind).call(room.id, posed)
      end

      # What each kind keeps of the form.
      DETAILS = { "practice" => %i[words] }.freeze

      before("/:room/?*") { @tab, @title = "plan", "Plan a lesson" }

      get("/:room") { page }

      # Puts a part at the end of the plan.
      post "/:room/parts" do
        form = checked(PartContract)
        part = course(form[:day]).plan(form[:kind], minutes: form[:minutes], details: details_of(form))
        redirect form[:kind] == "story" ? "/plan/#{room.id}?part=#{part.id}" : here(form[:day])
      rescue Rungs::Error => e
        @trouble = e.message
        status 422
        page
      end

      post "/:room/usual" do
        form = checked(DayContract)
        course(form[:day]).plan_usual
        redirect here(form[:day])
      end

      post "/:room/parts/:part" do
        form = checked(PlaceContract)
        part = found_part
        case form[:do]
        when "remove" then part.delete
        when "minutes" then part.update(minutes: form[:minutes] || part.minutes)
        else part.lesson.course.shift(part, form[:do] == "earlier" ? -1 : 1)
        end
        redirect here(part.lesson.held_on)
      end

      # Start, on, back, skip, or one part by its id.
      post "/:room/go" do
        to = checked(GoContract)[:to]
        lesson = room.start_lesson(today)
        course = lesson.course
        course.plan_usual if course.parts.empty?
        return finish(lesson) if to == "finish"

        to == "skip" ? course.skip : course.go(target(course, to))
        redirect course.current ? place_of(course.current) : "/today/#{room.id}"
      end

      # What the last lesson left undone, today.
      post "/:room/resume" do
        last = room.unfinished(today) || halt(404)
        course = room.start_lesson(today).course
        course.take_over(last.course)
        course.go(course.left.first)
        redirect place_of(course.current)
      end

      get "/:room/practice" do
        @part = room.lesson_on(today)&.course&.current
        @part = nil unless @part&.kind == "practice"
        @margin = class_margin { |child| "/climb/#{room.id}/children/#{child.id}" }
        erb :"lessons/practice"
      end

      post "/:room/practice" do
        part = room.lesson_on(today)&.course&.current || halt(404)
        part.lesson.change_board { |state, _| state["list"] ? state.except("list") : { "list" => part.id } }
        redirect "/lesson/#{room.id}/practice"
      end

      helpers do
        def page
          @day = checked(DayContract)[:day] || today
          @course = room.lesson_on(@day)&.course
          @margin = class_margin { |child| "/climb/#{room.id}/children/#{child.id}" }
          erb :"lessons/plan"
        end

        # A plan may be made for a day to come; the lesson of that day begins when it is started.
        def course(day) = (room.lesson_on(day || today) || room.start_lesson(day || today)).course
        def here(day) = "/lesson/#{room.id}#{"?day=#{day}" if day && day != today}"

        def found_part = room.part(params[:part]) || halt(404)

        def target(course, to)
          { "start" => course.current || course.left.first, "on" => course.beside(1),
            "back" => course.beside(-1) }.fetch(to) do
            course.part(to)
          end ||
            refuse("There is no such part in this lesson")
        end

        def finish(lesson)
          lesson.course.leave
          lesson.finish
          env["rack.session"]["note"] = "The lesson is done, and its board code has ended with it."
          redirect "/today/#{room.id}"
        end

        def place_of(part)
          Routes.place(room, part, part.kind == "share" ? part.lesson.shareable : part.at_hand)
        end

        def details_of(form)
          details = form.slice(*DETAILS[form[:kind]]).compact.transform_keys(&:to_s)
          if form[:kind] == "practice"
            details["equations"] =
              Rungs::Problem::Pool.of(form[:operation], form[:band] || "to10").equations(form[:count] || 8,
                                                                                         random: Random.new)
          end
          details
        end
      end
    end
  end
end
