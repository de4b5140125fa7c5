# frozen_string_literal: true

module Pages
  module Numbers
    # The addition square and its subtraction twin as a map to choose numbers from.
    class Routes < Shared::Tab
      helpers Shared::ClassMargin

      before("/:room/?*") { @tab, @title = "plan", "Choose numbers" }

      get "/:room" do
        read_form
        @facts = Rungs::Progress::Inviting.pick(map, rung: @form[:rung], facts: fact_maps, whole: 20) if @form[:rung]
        @margin = class_margin { |child| "/climb/#{room.id}/children/#{child.id}" }
        erb :"numbers/numbers"
      end

      # The numbers chosen, as a practice part of the next lesson.
      post "/:room" do
        read_form
        refuse("Choose some numbers first") if @facts.empty?
        lesson = room.start_lesson(coming_day)
        part = lesson.course.plan(Rungs::Activity::PRACTISED.id, details: { "for" => chosen.map(&:id) })
        part.items.add(@facts.map { |p, q| Rungs::Activity::PRACTISED.told(problem_of(p, q)) })
        env["rack.session"]["note"] = "#{plural(@facts.size, 'problem')} put into #{coming_lesson}."
        redirect "/lesson/#{room.id}?day=#{coming_day}"
      end

      helpers do
        def read_form
          @form = { operation: "add", size: 10, children: [], facts: [] }.merge(checked(NumbersContract))
          @facts = @form[:facts].map { |fact| fact.split(".").map(&:to_i) }.uniq
        end

        def adding? = @form[:operation] == "add"
        def map = @map ||= Rungs::Strategy::Square.new(@form[:size], unknown: adding? ? :whole : :second)
        def chosen = @chosen ||= room.children.select { |child| @form[:children].include?(child.id) }
        def problem_of(p, q) = Rungs::Problem::Equation.parse(equation_of(p, q)).to_problem
        def equation_of(p, q) = adding? ? "#{p} + #{q} = □" : "#{p + q} − #{p} = □"

        def fact_maps
          @fact_maps ||= chosen.map do |child|
            Rungs::Progress::FactMap.new(evidence.records_of(child, @form[:operation]), on: today)
          end
        end

        # What most of the children laid over it show; of equals the less.
        def shared_state(p, q)
          states = fact_maps.map { |map| map.state(p, q) }
          states.tally.max_by { |state, count| [count, state.nil? ? 1 : 0] }&.first
        end

        # An address with some things changed.
        def query(**changes)
          now = { operation: @form[:operation], size: @form[:size], children: @form[:children],
                  facts: @facts }.merge(changes)
          now[:facts] = now[:facts].map { |fact| fact.join(".") }
          Rack::Utils.build_nested_query(now.transform_values do |value|
            value.is_a?(Array) ? value.map(&:to_s) : value.to_s
          end)
        end

        def square
          drawing = Drawings::Square.new(@form[:size], whole: 20) { |p, q| cell(p, q) }
          drawing.draw(label: "Every fact with the rung that it invites", corner: adding? ? "+" : "−")
        end

        # One fact: pressed, it is taken, or put back.
        def cell(p, q)
          rung, state, there = map.at(p, q).rung, shared_state(p, q), @facts.include?([p, q])
          facts = there ? @facts - [[p, q]] : @facts + [[p, q]]
          Drawings::Square::Cell.new(tint: rung, mark: state, chosen: there,
                                     label: "#{solved(p, q)}: #{words(rung, state, there)}",
                                     href: "/numbers/#{room.id}?#{query(facts: facts)}")
        end

        def solved(p, q) = equation_of(p, q).sub("□", (adding? ? p + q : q).to_s)

        def words(rung, state, there)
          who = chosen.size == 1 ? chosen.first.name : "most of them"
          heard = "#{who}: #{state || 'not heard'}" if chosen.any?
          ["invites #{Rungs::Strategy::Rung.at(rung).doing}", heard, ("chosen" if there)].compact.join(", ")
        end
      end
    end
  end
end
