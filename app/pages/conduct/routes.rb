# frozen_string_literal: true

module Pages
  module Conduct
    # Conducts an activity on the tablet beside the class: what to say, what is on the board, step on and back, what to
    # listen for; child, then rung where the item has a problem.
    class Routes < Shared::Tab
      needs :conduct

      get("/:room") { show page }

      # Every step of the lesson, for a tablet that loses its connection: kept there only while somebody is signed in.
      get "/:room/kept" do
        halt 404 unless lesson
        part ? page.partial(:"conduct/kept") : ""
      end

      # A step, an item, or the cover: each names where it goes, and the part it means where that may not be the one
      # going on.
      post "/:room/do" do
        form = checked(DoContract)
        go_to(form[:part]) if form[:part]
        part || halt(404)
        lesson.show_item(part, 0) unless lesson.part_on_board&.id == part.id
        lesson.command(form[:do], form[:value])
        htmx? ? moved : redirect(here)
      end

      # Where the board went, for a tablet that follows it.
      get("/:room/now") { part ? moved : halt(404) }

      # The ways just heard, to stand beside each other on the board.
      get "/:room/share" do
        page.partial(:"conduct/_share", posed: (part && page.posed) || halt(404))
      end

      # The same activity with easier or harder numbers, as a part of its own right after this one.
      post "/:room/turn" do
        from = part || halt(404)
        options = from.items.kind.turn(checked(TurnContract)[:to]) || refuse("There is no such set of this activity")
        after = lesson.course.part(from.id)
        going = lesson.course.plan(from.kind, minutes: from.minutes, details: { options: options }, after: after)
        lesson.course.go(lesson.course.part(going.id))
        redirect here
      end

      # What real dice, cards or counters showed.
      post "/:room/thrown" do
        form = checked(ThrownContract)
        (part || halt(404)).items.throw_in(form[:item], form[:shown])
        lesson.show_item(part, form[:item])
        redirect here
      rescue Rungs::Error => e
        trouble(e)
      end

      # A way a child gave: as groups that were tapped, by what is missing, or as it is written; kept once.
      post "/:room/ways" do
        form = checked(WayContract)
        child = form[:child_id] && (room.child(form[:child_id]) || halt(404))
        items = (form[:part_id] ? room.part(form[:part_id]) : part)&.items || halt(404)
        items.offered.add(form[:item], offered(form), child: child, **form.slice(:move, :rung, :client_key))
        lesson&.change_board { |state| state }
        say_kept { htmx? ? offered_now(items, form[:item]) : redirect(here) }
      rescue Rungs::Error => e
        htmx? ? raise : trouble(e)
      end

      helpers do
        def here = "/conduct/#{room.id}"
        def lesson = lesson_today

        # The activity going on, else the one on the board.
        def part
          @part ||= lesson && (lesson.course.current || lesson.part_on_board)
        end

        # The part a command means: begun where it neither goes on nor is on the board.
        def go_to(id)
          there = lesson&.course&.part(id) || refuse("That part was taken out of the lesson")
          lesson.course.go(there) unless [lesson.course.current&.id, lesson.board.part].include?(there.id)
          @part = lesson.course.part(there.id)
        end

        def offered_now(items, index)
          state = Records::ItemOnBoard.at(items, index, 0)
          page.partial(:"conduct/_offered", state: state, ways: items.offered.on_item(index))
        end

        def moved = page.partial(:"conduct/_moved")

        def offered(form)
          return "missing" if form[:missing]
          return (lesson.on_board || halt(404)).way_by_hand if form[:hands]

          groups = form[:groups].to_s.split(";").map { |group| group.split(",").map(&:to_i) }
          form[:written].to_s.empty? ? groups : form[:written]
        end

        def trouble(error)
          status 422
          show page(trouble: error.message)
        end

        def typed = { by: params[:by], written: params[:written] }
        def page(trouble: nil) = part ? Page.new(visitor, part, trouble: trouble, **typed) : NothingPage.new(visitor)
      end
    end
  end
end
