# frozen_string_literal: true

module Pages
  module Climb
    # Where the children are and what moved, by the records so far.
    class Routes < Shared::Tab
      needs :ladders
      reads_beside

      get "/:room" do
        page = Page.new(visitor, **checked(ViewContract))
        htmx? ? page.partial(:"climb/_table") : show(page)
      end

      # The strategies heard week by week, as a picture with its table.
      get "/:room/weeks" do
        weeks = Records::Distribution.new(room).by_week(operation || "add", from: today - (26 * 7))
        partial(:"climb/_weeks", weeks: weeks)
      end

      get "/:room/children/:child/reason" do
        child_page(scope: chosen(:band, scopes) || "to10", operation: operation || "add",
                   on: chosen_day(:to, today)).partial(:"climb/_reason")
      end

      # The records behind a figure.
      get "/:room/children/:child/records" do
        page = BehindPage.new(visitor, child, **checked(BehindContract))
        htmx? ? page.drawn : show(page)
      end

      # One of the proposed problems, to that child now.
      post "/:room/children/:child/ask" do
        problem = Rungs::Problem::Equation.parse(checked(Plan::EquationContract)[:equation]).to_problem
        told = Rungs::Activity::POSED.data_for(problem, "")
        posed = room.start_lesson(today).course.tell([told], show: false)
        redirect "/listen/#{room.id}?problem=#{posed.id}&child=#{child.id}"
      end

      get "/:room/children/:child" do
        show child_page(operation: operation, scope: chosen(:band, scopes))
      end

      helpers do
        def child = @child ||= room.child(params[:child]) || halt(404)
        def child_page(**chosen) = ChildPage.new(visitor, child, **chosen)
        def scopes = Records::Scope.all
        def operation = chosen(:operation, Rungs::Problem::OPERATIONS)

        # A day of the past; today where none is given.
        def chosen_day(name, default)
          day = params[name] ? Date.iso8601(params[name]) : default
          refuse("A day is from the year 2000 to 2100") unless Shared::Contract::DAYS.cover?(day)
          [day, today].min
        rescue Date::Error
          refuse("“#{params[name].to_s[0, 40]}” is not a date")
        end

        # What was chosen of some; nil where nothing was.
        def chosen(name, among)
          return unless params[name]

          among.include?(params[name]) ? params[name] : refuse("There is no #{name} “#{params[name].to_s[0, 40]}”")
        end
      end
    end
  end
end
