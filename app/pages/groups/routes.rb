# frozen_string_literal: true

module Pages
  module Groups
    # Groups of the nearest rungs, pairs kept apart; moved by hand, the aims follow; saved for a lesson.
    class Routes < Shared::Tab
      helpers Shared::ClassMargin

      # Children heard enough, before a split says anything.
      ENOUGH = 2

      before("/:room/?*") do
        @tab, @title = "climb", "Groups"
        @form = { least: 3, most: 5 }.merge(checked(GroupsContract))
        @operation, @band = @form[:operation] || focus[0], @form[:band] || focus[1]
      end

      get("/:room") { page(@form[:groups] ? as_given : best) }

      # One child moved to another group (or a new one).
      post "/:room/move" do
        child = room.child(@form[:item]) || halt(404)
        groups = as_given.map { |group| group - [child] }
        place = @form[:place] || refuse("Choose a group")
        place < groups.size ? groups[place] += [child] : groups << [child]
        page(groups.reject(&:empty?))
      end

      post "/:room/apart" do
        pair = @form.values_at(:one, :other).uniq
        refuse("Choose two children") if pair.size < 2 || pair.any? { |id| room.child(id).nil? }
        room.keep_apart(pair.sort, together: @form[:together] || false)
        redirect "/groups/#{room.id}?#{where}"
      end

      post "/:room/save" do
        room.start_lesson(coming_day).keep_groups(as_given)
        env["rack.session"]["note"] = "The groups are saved for #{coming_lesson}."
        redirect coming_day == today ? "/today/#{room.id}" : "/lesson/#{room.id}?day=#{coming_day}"
      end

      helpers do
        def where = URI.encode_www_form(operation: @operation, band: @band, least: @form[:least], most: @form[:most])
        def apart = room.apart
        def member(child) = Rungs::Progress::Groups::Member.new(child: child.id, rung: estimate(child).working)
        def sizes = @form[:least]..[@form[:most], @form[:least]].max
        def estimate(child) = evidence.estimate(child, @operation, @band, on: today)
        def by_id = @by_id ||= room.children.to_h { |child| [child.id, child] }

        def best
          return [] if room.children.empty?

          if room.children.count { |child| estimate(child).working } < ENOUGH
            @trouble = "groups can be made once two children have been heard enough with these numbers"
            return []
          end

          found = Rungs::Progress::Groups.best(room.children.map { |child| member(child) }, sizes: sizes, apart: apart)
          found.map { |group| group.map { |each| by_id.fetch(each.child) } }
        rescue Rungs::Error => e
          @trouble = e.message
          []
        end

        # As they stand on the page; whoever is in none joins the last.
        def as_given
          groups = @form[:groups].to_s.split("_").map { |group| group.split(".").filter_map { |id| by_id[id.to_i] } }
          groups = groups.reject(&:empty?)
          rest = room.children - groups.flatten
          rest.empty? ? groups : [*groups[0..-2], (groups.last || []) + rest]
        end

        def page(groups)
          members = groups.map { |group| group.map { |child| member(child) } }
          @groups = groups.zip(Rungs::Progress::Groups.told(members, operation: @operation, band: @band))
          @written = groups.map { |group| group.map(&:id).join(".") }.join("_")
          @broken = apart.select { |pair| groups.any? { |group| (pair - group.map(&:id)).empty? } }
          @focus = [@operation, @band]
          @margin = class_margin { |child| "/climb/#{room.id}/children/#{child.id}" } unless htmx?
          erb :"groups/groups"
        end
      end
    end
  end
end
