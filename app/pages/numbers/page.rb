# frozen_string_literal: true

module Pages
  module Numbers
    # The addition square or its subtraction twin, the facts taken from it, and for whom.
    class Page < Shared::Page
      view :"numbers/numbers", tab: "plan", title: "Choose numbers"

      def initialize(visitor, **asked)
        super(visitor, operation: "add", size: 10, children: [], facts: [], **asked)
      end

      # The facts taken; or, where a rung was asked for, those that invite it.
      # @return [Array<Array(Integer, Integer)>]
      def facts = @facts ||= asked[:rung] ? inviting : given
      def given = asked[:facts].map { |fact| fact.split(".").map(&:to_i) }.uniq

      # By the rung that they invite.
      def by_rung = map.cells.select { |cell| cell.p <= cell.q && cell.p + cell.q <= 20 }.group_by(&:rung).sort

      # @return [Array<Hash>] the data of items
      def item_data = facts.map { |p, q| Rungs::Activity::PRACTISED.data_for(problem_of(p, q)) }

      def adding? = asked[:operation] == "add"
      def map = @map ||= Rungs::Progress::Square.new(asked[:size], unknown: adding? ? :whole : :second)
      def chosen = @chosen ||= room.children.select { |child| asked[:children].include?(child.id) }
      def problem_of(p, q) = Rungs::Problem::Equation.parse(equation_of(p, q)).to_problem
      def equation_of(p, q) = adding? ? "#{p} + #{q} = □" : "#{p + q} − #{p} = □"

      def fact_maps
        @fact_maps ||= chosen.map do |child|
          Rungs::Progress::FactMap.new(evidence.records_of(child, asked[:operation]), operation: asked[:operation],
                                                                                      on: today)
        end
      end

      # What most of the children laid over it show; of equals the less.
      def shared_state(p, q)
        states = fact_maps.map { |map| map.state(p, q) }
        states.tally.max_by { |state, count| [count, state.nil? ? 1 : 0] }&.first
      end

      # An address with some things changed.
      def query(**changes)
        now = { operation: asked[:operation], size: asked[:size], children: asked[:children],
                facts: facts }.merge(changes)
        now[:facts] = now[:facts].map { |fact| fact.join(".") }
        Rack::Utils.build_nested_query(now.transform_values do |value|
          value.is_a?(Array) ? value.map(&:to_s) : value.to_s
        end)
      end

      def square
        drawing = Drawings::Square.new([*0..asked[:size]]) { |p, q| cell(p, q) if p + q <= 20 }
        drawing.draw(label: "Every fact with the rung that it invites", corner: adding? ? "+" : "−")
      end

      # One fact: pressed, it is taken, or put back.
      def cell(p, q)
        rung, state, there = map.at(p, q).rung, shared_state(p, q), facts.include?([p, q])
        others = there ? facts - [[p, q]] : facts + [[p, q]]
        Drawings::Square::Cell.new(tint: rung, mark: state, chosen: there,
                                   label: "#{solved(p, q)}: #{said_of(rung, state, there)}",
                                   href: "/numbers/#{room.id}?#{query(facts: others)}")
      end

      def solved(p, q) = equation_of(p, q).sub("□", (adding? ? p + q : q).to_s)

      def said_of(rung, state, there)
        who = chosen.size == 1 ? chosen.first.name : "most of them"
        heard = "#{who}: #{state || 'not heard'}" if chosen.any?
        ["invites #{Rungs::Strategy::Rung.at(rung).doing}", heard, ("chosen" if there)].compact.join(", ")
      end

      private

      def inviting = Rungs::Progress::Inviting.pick(map, rung: asked[:rung], facts: fact_maps, whole: 20)
    end
  end
end
