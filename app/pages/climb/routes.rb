# frozen_string_literal: true

module Pages
  module Climb
    # Where the children are and what moved, by the records so far.
    class Routes < Shared::Tab
      OPERATIONS = %w[add subtract].freeze
      # Always there; the rest as soon as something was heard in them.
      BANDS = %w[to5 to10 teens bridge].freeze
      SINCE_DAYS = 28

      helpers Shared::ClassMargin

      get "/:room" do
        @tab, @title = "climb", "Climb"
        @operation = chosen(:operation, OPERATIONS, "add")
        @since = today - SINCE_DAYS
        @bands = Rungs::Problem::Band::ALL.ids.select { |band| BANDS.include?(band) || evidence.heard.keys.any? { |key| key.band == band && key.operation == @operation } }
        @turns = evidence.turns(on: today, places: 3).map { |turn| turn.child.id }
        erb :"climb/climb"
      end

      get "/:room/children/:child/reason" do
        @child = room.child(params[:child]) || halt(404)
        @operation, @band = chosen(:operation, OPERATIONS, "add"), chosen(:band, Rungs::Problem::Band::ALL.ids, "to10")
        @estimate = evidence.estimate(@child, @operation, @band, on: today)
        partial(:"climb/_reason")
      end

      get "/:room/children/:child" do
        @child = room.child(params[:child]) || halt(404)
        @tab, @title = "climb", @child.name
        @operation, @band = chosen(:operation, OPERATIONS, busiest[0]), chosen(:band, Rungs::Problem::Band::ALL.ids, busiest[1])
        @focus = [@operation, @band]
        @estimate = evidence.estimate(@child, @operation, @band, on: today)
        @heard = evidence.heard_of(@child, @operation, @band)
        @margin = class_margin(chosen: @child) { |child| "/climb/#{room.id}/children/#{child.id}?operation=#{@operation}&band=#{@band}" }
        erb :"climb/child"
      end

      helpers do
        def chosen(name, among, default)
          return default unless params[name]

          among.include?(params[name]) ? params[name] : refuse("There is no #{name} “#{params[name].to_s[0, 40]}”")
        end

        # Where this child was heard most of late.
        def busiest
          kept = evidence.heard.select { |key, _| key.child_id == @child.id }
          key, = kept.max_by { |_, heard| heard.count { |each| each.record.day > today - SINCE_DAYS } }
          key ? [key.operation, key.band] : %w[add to10]
        end

        def movement(child, band)
          now = evidence.estimate(child, @operation, band, on: today).working
          before = evidence.estimate(child, @operation, band, on: @since).working
          now && before ? now <=> before : 0
        end

        # The working rung after each day something was heard.
        def steps
          filter = Rungs::Progress::Filter.start
          @heard.group_by { |each| each.record.day }.map do |day, heard|
            filter = heard.reduce(filter) { |before, each| before.hear(each.record) }
            [day, filter.heard >= filter.rule.least_records ? filter.likeliest : nil]
          end
        end

        def timeline
          Drawings::Timeline.new(@heard, steps, from: [@heard.first.record.day, today - 14].min,
                                                to: today).draw(label: "Each answer of #{@child.name} by day and rung; the table below says the same.")
        end

        def where_to(band, operation = @operation) = "/climb/#{room.id}/children/#{@child.id}?operation=#{operation}&band=#{band}"
      end
    end
  end
end
