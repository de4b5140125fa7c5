# frozen_string_literal: true

module Pages
  module Groups
    # Groups of the nearest rungs, pairs kept apart; moved by hand, the aims follow; saved for a lesson.
    class Routes < Shared::Tab
      needs :groups, see: :see_groups

      before("/:room/?*") { @page = Page.new(visitor, **checked(GroupsContract)) }

      get("/:room") { show @page }

      # One child moved to another group (or a new one).
      post "/:room/move" do
        child = room.child(@page.asked[:item]) || halt(404)
        show @page.move(child, @page.asked[:place] || refuse("Choose a group"))
      end

      post "/:room/apart" do
        pair = @page.asked.values_at(:one, :other).uniq
        refuse("Choose two children") if pair.size < 2 || pair.any? { |id| room.child(id).nil? }
        room.keep_apart(pair.sort, together: @page.asked[:together] || false)
        redirect "/groups/#{room.id}?#{@page.where}"
      end

      post "/:room/save" do
        room.start_lesson(coming_day).keep_groups(@page.split)
        visitor.note "The groups are saved for #{coming_lesson}."
        redirect coming_day == today ? "/today/#{room.id}" : "/lesson/#{room.id}?day=#{coming_day}"
      end
    end
  end
end
