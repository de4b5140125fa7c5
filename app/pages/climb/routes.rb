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
        there = @view.families? ? Records::Scope.families : Records::Scope.bands
        evidence.read(@view.operation, there, day: @view.from)
        @columns = there.select do |scope|
          @view.families? || BANDS.include?(scope) || evidence.heard?(@view.operation, scope)
        end
        @rows = sorted(room.children.map { |child| Row.of(child, evidence, @view, @columns) })
        @turns = listening.waiting(today).map { |turn| turn.child.id }
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
        told = Rungs::Activity::POSED.told(problem, "")
        posed = room.start_lesson(today).course.tell([told], show: false)
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
        @margin = class_margin(chosen: @child) do |child|
          "/climb/#{room.id}/children/#{child.id}?operation=#{@operation}&band=#{@scope}"
        end
        erb :"climb/child"
      end

      helpers do
        # A day of the past; today where none is given.
        def chosen_day(name, default)
          day = params[name] ? Date.iso8601(params[name]) : default
          refuse("A day is from the year 2000 to 2100") unless Shared::Contract::DAYS.cover?(day)
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
        def photos = @photos ||= Records::Photo.of_child(@child)

        # The day something was first heard here.
        def first_day = @first_day ||= [room.first_day || today, today].min

        def sorted(rows)
          column = @columns.index(@view.sort)
          if column
            return rows.sort_by do |row|
              [-(row.estimates[column].working || 0), -row.estimates[column].confidence]
            end
          end

          @view.sort == "last" ? rows.sort_by { |row| evidence.last_heard[row.child.id]&.jd || 0 } : rows
        end

        def scopes = Records::Scope.all
        def scope_title(scope) = Records::Scope.title(scope)

        def timeline
          from = [@heard.first.record.day, today - 14].min
          line = Drawings::Timeline.new(@heard, @steps, from: from, to: today) { |each| behind(key: each.key) }
          line.draw(label: "Each answer of #{@child.name} by day and rung; the table below says the same.")
        end

        # Where the child works, in a sentence, each rung in its tint.
        def standing_sentence
          name, place = @child.name, scope_title(@scope)
          return h("#{name}: not enough heard, #{place}") unless @estimate.working

          tinted = @estimate.told.map { |level| %(<span class="tinted tint-#{level}">#{Rungs::Strategy::Rung.at(level).doing}</span>) }
          return "#{h(name)} works mostly by #{tinted.first}, #{h(place)}" if @estimate.mostly?

          "#{h(name)}, #{h(place)}: not clear yet#{tinted.size > 1 ? ' between' : ','} #{tinted.join(' and ')}"
        end

        # The rung in a cell: a short name, or the two that it lies between.
        def cell_name(estimate)
          return estimate.words.so_far.to_s unless estimate.working

          estimate.told.map { |level| Rungs::Strategy::Rung.at(level).short }.join(" / ")
        end

        # The address of the records behind a figure.
        def behind(**which)
          "/climb/#{room.id}/children/#{@child.id}/records?#{which.map { |name, value| "#{name}=#{value}" }.join('&')}"
        end

        # The square of this operation, tinted by the best recent rung.
        def square
          records = recent.select { |each| each.operation == @operation }.map(&:record)
          @facts = Rungs::Progress::FactMap.new(records, on: today)
          drawing = Drawings::Square.new(@size, whole: 20) { |p, q| square_cell(p, q) }
          label = "#{@child.name}, #{operation_title(@operation).downcase}, fact by fact; the list below says the same"
          drawing.draw(label: label, corner: @operation == "add" ? "+" : "−")
        end

        def square_cell(p, q)
          rung, state = @facts.rung(p, q), @facts.state(p, q)
          sum = @operation == "add" ? "#{p} + #{q} = #{p + q}" : "#{p + q} − #{p} = #{q}"
          href = behind(operation: @operation, fact: [p, q].sort.join(".")) if rung
          Drawings::Square::Cell.new(tint: rung, mark: state, label: "#{sum}: #{state || 'not heard'}", href: href)
        end

        # Slips of the last weeks that came twice or more, the commonest first, each with its records.
        def slips
          late = recent.select { |each| each.record.day > today - Records::Evidence::SLIP_DAYS }
          late.group_by(&:slip).except(nil).select { |_, all| all.size > 1 }.sort_by { |_, all| -all.size }
        end

        # What to ask next; where there is nothing to aim at, facts to hear again.
        def proposals
          return [] if Records::Scope.family?(@scope)

          wanted = { working: @estimate.working, operation: @operation, band: @scope, last: last_facts }
          @proposals ||= Rungs::Progress::NextProblems.propose(**wanted)
        end

        def again
          return [] if Records::Scope.family?(@scope) || proposals.any? || @estimate.working.nil?

          records = recent.select { |each| each.operation == @operation }.map(&:record)
          @again ||= Rungs::Progress::NextProblems.again(records, operation: @operation, band: @scope)
        end

        def last_facts
          count = Rungs::Progress::NextProblems::LAST
          (recent.size < count ? evidence.all(@child) : recent).last(count).map { |each| each.record.fact }
        end

        def where_to(band, operation = @operation)
          "/climb/#{room.id}/children/#{@child.id}?operation=#{operation}&band=#{band}"
        end
      end
    end
  end
end
