# frozen_string_literal: true

module Pages
  module Climb
    # One child, in one operation and band or family: the line of time, the square, slips, and what to ask next.
    class ChildPage < Shared::Page
      view :"climb/child", tab: "climb", inert: true

      attr_reader :child, :operation, :scope, :size

      # @param size [Integer] of the square: 10 or 20
      # @param on [Date] the day that is told
      def initialize(visit, child, operation: nil, scope: nil, size: 10, on: nil)
        super(visit)
        @child = child
        busiest = evidence.busiest(child, days: Page::SINCE_DAYS, on: today) || %w[add to10] unless operation && scope
        @operation = operation || busiest[0]
        @scope = scope || busiest[1]
        @size = size
        @on = on || today
        @focus = [@operation, @scope]
      end

      def title = child.name
      def chosen_child = child
      def way_to(child) = "#{page_of(child)}?operation=#{operation}&band=#{scope}"
      def where_to(scope, operation = self.operation) = "#{page_of(child)}?operation=#{operation}&band=#{scope}"
      def scopes = Records::Scope.all
      def scope_title(scope) = Records::Scope.title(scope)

      def estimate = @estimate ||= evidence.estimate(child, operation, scope, on: @on)
      def about = @about ||= evidence.about(child, operation, scope, days: Rungs::Progress::FactMap::RECENT, on: today)
      def heard = @heard ||= about.select { |each| each.of?(operation, scope) }
      def steps = @steps ||= evidence.steps(child, operation, scope)

      # Since when movement is told; up is positive.
      def since = today - Page::SINCE_DAYS
      def movement = evidence.movement(child, operation, scope, from: since, to: today)

      # What the square and the slips look back on.
      def recent = @recent ||= about.select { |each| each.record.day >= today - Rungs::Progress::FactMap::RECENT }

      # Drawings of records that stand; ways given.
      def photos = @photos ||= Records::Photo.of_child(child)
      def ways = Records::Way.given_by(child)

      # Whose own tables of clips weigh what they took down.
      def weighed_by
        tables = Records::Ear.tables
        return [] if tables.empty?

        by = heard.map(&:account_id).uniq & tables.keys
        Records::Account.where(id: by).select_order_map(:name)
      end

      # Where the child was when handed over, by operation.
      def came_with = Records::CameWith.where(child_id: child.id, operation: operation).order(:id).all
      def at_home = room.home_answers_dataset.where(child_id: child.id).latest_first.all

      # Recent records of this operation, fact by fact.
      def facts = @facts ||= Rungs::Progress::FactMap.new(recent_here, on: today)

      # "2 and 3, 4 and 5"
      def facts_in(state)
        there = facts.by_state[state].to_a.map { |parts| parts.join(" and ") }
        there.empty? ? "none" : there.join(", ")
      end

      def timeline
        from = [heard.first.record.day, today - 14].min
        line = Drawings::Timeline.new(heard, steps, from: from, to: today) { |each| behind(key: each.key) }
        line.draw(label: "Each answer of #{child.name} by day and rung; the table below says the same.")
      end

      # Where the child works, in a sentence, each rung in its tint.
      def standing_sentence
        name, place = child.name, scope_title(scope)
        return h("#{name}: not enough heard, #{place}") unless estimate.working

        return "#{h(name)} works mostly by #{tinted(estimate.told.first)}, #{h(place)}" if estimate.mostly?

        said = estimate.several? ? "uses several ways," : "not clear yet,"
        "#{h(name)}, #{h(place)}: #{said} #{most_often}"
      end

      # The address of the records behind a figure.
      def behind(**which)
        "#{page_of(child)}/records?#{which.map { |name, value| "#{name}=#{value}" }.join('&')}"
      end

      # The square of this operation, tinted by the best recent rung.
      def square
        drawing = Drawings::Square.new(size, whole: 20) { |p, q| square_cell(p, q) }
        label = "#{child.name}, #{operation_title(operation).downcase}, fact by fact; the list below says the same"
        drawing.draw(label: label, corner: operation == "add" ? "+" : "−")
      end

      # Slips of this operation in the last weeks that came twice or more, the commonest first, each with its records.
      def slips
        late = recent.select do |each|
          each.operation == operation && each.record.day > today - Records::Evidence::SLIP_DAYS
        end
        late.group_by(&:slip).except(nil).select { |_, all| all.size > 1 }.sort_by { |_, all| -all.size }
      end

      # What to ask, the first the likeliest to tell; none where not enough was heard.
      # @return [Array<Rungs::Progress::NextProblems::Proposal>]
      def next_problems
        return [] if Records::Scope.family?(scope)

        @next_problems ||= Rungs::Progress::NextProblems.for_child(estimate, operation: operation, band: scope,
                                                                             records: recent_here, last: last_facts)
      end

      private

      # "counting on most often, then part–whole": in the order of their counts, which stand below.
      def most_often
        often = estimate.told.sort_by { |level| -estimate.recent[level] }
        first, second = often.map { |level| tinted(level) }
        return "#{first} most often" unless second
        return "#{first} and #{second} alike" if estimate.recent.values_at(*often).uniq.one?

        "#{first} most often, then #{second}"
      end

      def tinted(level) = %(<span class="tinted tint-#{level}">#{Rungs::Strategy::Rung.at(level).doing}</span>)

      def square_cell(p, q)
        rung, state = facts.rung(p, q), facts.state(p, q)
        sum = operation == "add" ? "#{p} + #{q} = #{p + q}" : "#{p + q} − #{p} = #{q}"
        href = behind(operation: operation, fact: [p, q].sort.join(".")) if rung
        Drawings::Square::Cell.new(tint: rung, mark: state, label: "#{sum}: #{state || 'not heard'}", href: href)
      end

      def last_facts
        count = Rungs::Progress::NextProblems::LAST
        (recent.size < count ? evidence.all(child) : recent).last(count).map { |each| each.record.fact }
      end

      def recent_here = recent.select { |each| each.operation == operation }.map(&:record)
    end
  end
end
