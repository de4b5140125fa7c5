# frozen_string_literal: true

module Pages
  module Conduct
    # Conducts an activity on the tablet beside the class: what to say, what is on the board, step on and back, what to
    # listen for; child, then rung where the item has a problem.
    class Routes < Shared::Tab
      helpers Shared::ClassMargin, Listen::Recording

      before("/:room/?*") { @tab = "plan" }

      get("/:room") { page }

      # A step, an item, or the cover: each names where it goes.
      post "/:room/do" do
        form = checked(DoContract)
        part || halt(404)
        lesson.show_item(part, 0) unless lesson.part_on_board&.id == part.id
        lesson.command(form[:do], form[:value])
        redirect here
      end

      # The same activity with easier or harder numbers, as a part of its own right after this one.
      post "/:room/turn" do
        from = part || halt(404)
        options = from.items.kind.turn(checked(TurnContract)[:to]) || refuse("There is no such set of this activity")
        after = lesson.course.part(from.id)
        going = lesson.course.plan(from.kind, minutes: from.minutes, details: { "options" => options }, after: after)
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

      # A way a child gave: as groups that were tapped, by what is missing, or as it is written.
      post "/:room/ways" do
        form = checked(WayContract)
        child = form[:child_id] && (room.child(form[:child_id]) || halt(404))
        (part || halt(404)).items.keep_way(form[:item], offered(form), move: form[:move], child: child)
        lesson.change_board { |state| state }
        redirect here
      rescue Rungs::Error => e
        trouble(e)
      end

      helpers do
        def here = "/conduct/#{room.id}"
        def lesson = @lesson ||= room.lesson_on(today)

        # The activity going on, else the one on the board.
        def part
          @part ||= lesson && (lesson.course.current || lesson.part_on_board)
        end

        def offered(form)
          return "missing" if form[:missing]

          groups = form[:groups].to_s.split(";").map { |group| group.split(",").map(&:to_i) }
          form[:written].to_s.empty? ? groups : form[:written]
        end

        def trouble(error)
          @trouble = error.message
          status 422
          page
        end

        def page
          @title = part ? part.title : "Activities"
          return erb(:"conduct/nothing") unless part

          on_board = lesson.refresh.part_on_board&.id == part.id
          @state = Records::ItemOnBoard.new(on_board ? lesson.board.to_h : {}, part.items)
          @posed = part.items.posed(@state.index)
          @ways = part.items.ways(@state.index)
          @scripts = [("listen" if @posed), ("groups" if @state.grouped)].compact
          @margin = margin
          erb :"conduct/conduct"
        end

        def margin
          return partial(:"listen/_children", rows: in_turn(margin_rows(turns))) if @posed

          class_margin { |child| "/climb/#{room.id}/children/#{child.id}" }
        end

        # The primary button: what comes next.
        def on_title(there)
          there[0] == @state.index ? Rungs.capital(step_title(@state.item.steps[there[1]])) : "The next one"
        end

        def slips_here = part.activity.slips.filter_map { |id| @posed && Rungs::Slip.on(@posed.problem, id) }
      end
    end
  end
end
