# frozen_string_literal: true

module Pages
  module Looks
    # Quick looks: a picture shown for a moment on the board; how many, and how did you see it? The teacher catches each
    # way by tapping groups.
    class Routes < Shared::Tab
      helpers Shared::ClassMargin

      before("/:room/?*") { @tab, @title, @scripts = "plan", "Quick looks", %w[looks] }

      get("/:room") { page }

      # A new set, the first of it on the board, ready.
      post "/:room/set" do
        form = checked(SetContract)
        arrangements = form[:arrangement] ? [form[:arrangement]] : Rungs::Activity::QuickLook::ARRANGEMENTS.ids
        set = Rungs::Activity::QuickLook.set(to: form[:to], count: 6, random: Random.new, arrangements: arrangements)
        part = lesson.course.current
        put Records::Look.keep(lesson, set, seconds: form[:seconds], part: (part if part&.kind == "quick_looks")).first
        redirect "/looks/#{room.id}"
      end

      post "/:room/do" do
        form = checked(DoContract)
        look = found_look
        change = ->(state, _) { Board::LookState.new(state, look).after(form[:do]) }
        form[:do] == "next" ? put(beside(look, 1)) : lesson.change_board(&change)
        redirect "/looks/#{room.id}"
      end

      post "/:room/ways" do
        form = checked(WayContract)
        look = found_look
        seen = look.look
        way = form[:missing] ? seen.seen_missing : seen.seen(groups(form), turned: room.setting("turned"))
        look.add_seen(way, initials: form[:initials].to_s.strip)
        lesson.change_board { |state, _| state }
        redirect "/looks/#{room.id}"
      rescue Rungs::Error => e
        @trouble = e.message
        status 422
        page
      end

      helpers do
        def lesson = @lesson ||= room.lesson_on(today) || room.start_lesson(today)
        def found_look = lesson.look_on_board || refuse("No quick look is on the board; begin a set first")
        def put(look) = look && lesson.change_board { |_, _| { "look" => look.id } }
        def groups(form) = form[:groups].to_s.split(";").map { |group| group.split(",").map(&:to_i) }
        def beside(look, step) = lesson.looks.then { |all| all[all.index { |each| each.id == look.id } + step] }

        def page
          @look = lesson.refresh.look_on_board
          @state = @look && Board::LookState.new(lesson.board.to_h, @look)
          @margin = class_margin { |child| "/climb/#{room.id}/children/#{child.id}" }
          erb :"looks/looks"
        end
      end
    end
  end
end
