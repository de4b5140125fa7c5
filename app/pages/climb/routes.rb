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
        @view = View.new(checked(ViewContract), first: first_day, today: today)
        scopes = @view.families? ? family_scopes : Rungs::Problem::Band::ALL.ids
        evidence.read(@view.operation, scopes, day: @view.from)
        @columns = @view.families? ? scopes : scopes.select { |band| BANDS.include?(band) || evidence.heard?(@view.operation, band) }
        @rows = sorted(room.children.map { |child| Row.of(child, evidence, @view, @columns) })
        @turns = listening.on(today).map { |turn| turn.child.id }
        htmx? ? partial(:"climb/_table") : erb(:"climb/climb")
      end

      # The strategies heard week by week, as a picture with its table.
      get "/:room/weeks" do
        @operation = chosen(:operation, OPERATIONS, "add")
        @weeks = Records::Distribution.new(room).by_week(@operation, from: today - (26 * 7))
        partial(:"climb/_weeks")
      end

      get "/:room/children/:child/reason" do
        @child = room.child(params[:child]) || halt(404)
        @operation, @scope = chosen(:operation, OPERATIONS, "add"), chosen(:band, scopes, "to10")
        @estimate = evidence.estimate(@child, @operation, @scope, on: chosen_day(:to, today))
        partial(:"climb/_reason")
      end

      # The records behind a figure.
      get "/:room/children/:child/records" do
        @child = room.child(params[:child]) || halt(404)
        @found = Behind.new(evidence.all(@child), checked(BehindContract), today).records
        htmx? ? partial(:"climb/_records") : erb(:"climb/_records")
      end

      # One of the proposed problems, to that child now.
      post "/:room/children/:child/ask" do
        @child = room.child(params[:child]) || halt(404)
        problem = Rungs::Problem::Equation.parse(checked(Plan::EquationContract)[:equation]).to_problem
        posed = room.start_lesson(today).pose(problem, story: "")
        redirect "/listen/#{room.id}?problem=#{posed.id}&child=#{@child.id}"
      end

      get "/:room/children/:child" do
        @child = room.child(params[:child]) || halt(404)
        @tab, @title = "climb", @child.name
        @operation, @scope = chosen(:operation, OPERATIONS, busiest[0]), chosen(:band, scopes, busiest[1])
        @size = chosen(:square, %w[10 20], "10").to_i
        @focus = [@operation, @scope]
        @about = evidence.about(@child, @operation, @scope, days: Rungs::Progress::FactMap::RECENT, on: today)
        @heard = @about.select { |each| each.of?(@operation, @scope) }
        @steps = evidence.steps(@child, @operation, @scope)
        @estimate = evidence.estimate(@child, @operation, @scope, on: today)
        @margin = class_margin(chosen: @child) { |child| "/climb/#{room.id}/children/#{child.id}?operation=#{@operation}&band=#{@scope}" }
        erb :"climb/child"
      end

      helpers do
        # A day of the past; today where none is given.
        def chosen_day(name, default)
          day = params[name] ? Date.iso8601(params[name]) : default
          [day, today].min
        rescue Date::Error
          refuse("“#{params[name].to_s[0, 40]}” is not a date")
        end

        def chosen(name, among, default)
          return default unless params[name]

          among.include?(params[name]) ? params[name] : refuse("There is no #{name} “#{params[name].to_s[0, 40]}”")
        end

        # Where this child was heard most of late.
        def busiest = @busiest ||= evidence.busiest(@child, days: SINCE_DAYS, on: today) || %w[add to10]

        # What the square and the slips look back on.
        def recent = @recent ||= @about.select { |each| each.record.day >= today - Rungs::Progress::FactMap::RECENT }

        # Drawings of records that stand.
        def photos = @photos ||= Records::Photo.listed.where(classroom_id: room.id, child_id: @child.id).all.then { |taken| taken.empty? ? taken : standing(taken) }

        def standing(taken)
          keys = room.observations_dataset.standing.where(first_key: taken.map(&:first_key)).select_map(:first_key)
          taken.select { |photo| keys.include?(photo.first_key) }
        end

        def family_scopes = Rungs::Problem::Family::ALL.ids.map { |family| Records::Evidence.family(family) }

        # The day something was first heard here.
        def first_day = @first_day ||= [room.lessons_dataset.unordered.min(:held_on) || today, today].min

        def sorted(rows)
          column = @columns.index(@view.sort)
          return rows.sort_by { |row| [-(row.estimates[column].working || 0), -row.estimates[column].confidence] } if column

          @view.sort == "last" ? rows.sort_by { |row| evidence.last_heard[row.child.id]&.jd || 0 } : rows
        end

        def scopes = @scopes ||= Rungs::Problem::Band::ALL.ids + Rungs::Problem::Family::ALL.ids.map { |family| Records::Evidence.family(family) }

        # A band or a family by its name.
        def scope_title(scope)
          scope.start_with?("family:") ? Rungs::Problem::Family::ALL.fetch(scope.delete_prefix("family:")).title : band_title(scope)
        end

        def timeline
          from = [@heard.first.record.day, today - 14].min
          Drawings::Timeline.new(@heard, @steps, from: from, to: today) { |each| behind(key: each.key) }
                            .draw(label: "Each answer of #{@child.name} by day and rung; the table below says the same.")
        end

        # The address of the records behind a figure.
        def behind(**which) = "/climb/#{room.id}/children/#{@child.id}/records?#{which.map { |name, value| "#{name}=#{value}" }.join('&')}"

        # The square of this operation, tinted by the best recent rung.
        def square
          facts = Rungs::Progress::FactMap.new(recent.select { |each| each.operation == @operation }.map(&:record), on: today)
          drawing = Drawings::Square.new(@size, whole: 20) do |p, q|
            rung, state = facts.rung(p, q), facts.state(p, q)
            sum = @operation == "add" ? "#{p} + #{q} = #{p + q}" : "#{p + q} − #{p} = #{q}"
            Drawings::Square::Cell.new(tint: rung, mark: state, label: "#{sum}: #{state || 'not heard'}", href: (behind(operation: @operation, fact: [p, q].sort.join(".")) if rung))
          end
          [facts, drawing.draw(label: "#{@child.name}, #{operation_title(@operation).downcase}, fact by fact; the list below says the same", corner: @operation == "add" ? "+" : "−")]
        end

        # Slips of the last weeks that came twice or more, the commonest first: title, what to ask, and the days.
        def slips
          rows = recent.select { |each| each.slip && each.record.day > today - Records::ListeningList::SLIP_DAYS }
          rows.group_by(&:slip).select { |_, all| all.size > 1 }.sort_by { |_, all| -all.size }
        end

        def proposals
          return [] if @scope.start_with?("family:")

          count = Rungs::Progress::NextProblems::LAST
          last = (recent.size < count ? evidence.all(@child) : recent).last(count).map { |each| each.record.fact }
          Rungs::Progress::NextProblems.propose(working: @estimate.working, operation: @operation, band: @scope, last: last)
        end

        def where_to(band, operation = @operation) = "/climb/#{room.id}/children/#{@child.id}?operation=#{operation}&band=#{band}"
      end
    end
  end
end
