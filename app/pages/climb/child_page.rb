# frozen_string_literal: true

module Pages
  module Climb
    # One child, in one operation and band or family: the line of time, the square, slips, and what to ask next.
    class ChildPage < Shared::Page
      include Facts

      view :"climb/child", tab: "climb", inert: true

      # Days that slips and the latest answers look back on.
      RECENT = 84

      attr_reader :child, :operation, :scope

      # @param on [Date] the day that is told
      def initialize(visitor, child, operation: nil, scope: nil, on: nil)
        super(visitor)
        @child = child
        busiest = evidence.busiest(child, days: Page::SINCE_DAYS, on: today) || %w[add to10] unless operation && scope
        @operation = operation || busiest[0]
        @scope = scope || busiest[1]
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
      def about = @about ||= evidence.about(child, operation, scope, days: RECENT, on: today)
      def heard = @heard ||= about.select { |each| each.of?(operation, scope) }
      def steps = @steps ||= evidence.steps(child, operation, scope)

      def knows_range?(band) = evidence.estimate(child, operation, band, on: @on).knows?

      # Since when movement is told; up is positive.
      def since = today - Page::SINCE_DAYS
      def movement = evidence.movement(child, operation, scope, from: since, to: today)

      # What the slips look back on.
      def recent = @recent ||= about.select { |each| each.record.day >= today - RECENT }

      # Drawings of records that stand; ways given.
      def photos = @photos ||= Records::Photo.of_child(child)
      def ways_given = Records::Way.given_by(child)

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

      def timeline
        from = [heard.first.record.day, today - 14].min
        line = Drawings::Timeline.new(heard, steps, from: from, to: today) { |each| behind(key: each.key) }
        line.draw(label: "Each answer of #{child.name} by day and rung; the table below says the same.")
      end

      # How the child works out what it does not know, then what it knows, in a sentence, each rung in its tint.
      def standing_sentence
        name, place = h(child.name), h(scope_title(scope))
        return "#{name}: not enough heard, #{place}" unless estimate.enough?
        return "#{name}, #{place}: #{h(estimate.words.heard_so_far(method(:short_date)))}" if estimate.faint?
        return "#{name} #{known_range}" if estimate.knows?
        return "#{name} works out mostly by #{tinted(estimate.works_out)}#{and_knows}, #{place}" if estimate.mostly?

        said = estimate.several? ? "uses several ways," : "not clear yet,"
        "#{name}, #{place}: #{said} #{most_often}#{and_knows}"
      end

      # The rungs by which a child may work out what it does not know, the highest first, each with how often of late.
      # @return [Array<Array(Rungs::Strategy::Rung, Integer)>]
      def ways
        last = estimate.worked_out.last(estimate.rule.recent_answers)
        (1..4).reverse_each.map { |level| [Rungs::Strategy::Rung.at(level), last.select { |each| each.rung == level }] }
      end

      # "5 of the last 7"; "once: 4 + 5"
      def how_often(records)
        return "" if records.empty?

        all = estimate.worked_out.last(estimate.rule.recent_answers).size
        return "#{records.size} of the last #{all}" if records.size > 1

        "once: #{written(records.first.exact || records.first.fact)}"
      end

      # Whether it is said that the child works things out so.
      def works_by?(level) = estimate.named.include?(estimate.scope.level(level)) && level_named?(level)

      # The address of the records behind a figure.
      def behind(**which)
        "#{page_of(child)}/records?#{which.map { |name, value| "#{name}=#{value}" }.join('&')}"
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

        @next_problems ||= Rungs::Progress::NextProblems.for_child(
          estimate, operation: operation, band: scope, history: history, year: room.setting("year"),
                    slip: slips.first&.first
        )
      end

      private

      # "counting on most often, then part–whole": in the order of their counts, which stand below.
      def most_often
        often = estimate.named.sort_by { |level| -estimate.recent[level] }
        first, second = often.map { |level| tinted(level) }
        return "#{first} most often" unless second
        return "#{first} and #{second} alike" if estimate.recent.values_at(*often).uniq.one?

        "#{first} most often, then #{second}"
      end

      def tinted(level) = %(<span class="tinted tint-#{level}">#{Rungs::Strategy::Rung.at(level).doing}</span>)

      def known_range
        knowing = estimate.knowing
        "#{tinted(Rungs::Progress::Estimate::KNOWN).sub('known facts', 'knows')} #{h(estimate.words.facts)}: " \
          "#{knowing.known} of #{knowing.heard} heard"
      end

      def and_knows
        knowing = estimate.knowing
        knowing.known.zero? ? "" : " and knows #{knowing.known} of #{knowing.heard} facts heard"
      end

      # Of the rungs that stand for one level, that which was heard most.
      def level_named?(level)
        there = estimate.worked_out.map(&:rung).select do |each|
          estimate.scope.level(each) == estimate.scope.level(level)
        end
        (there.tally.max_by { |each, times| [times, -each] }&.first || estimate.scope.level(level)) == level
      end

      def band = Rungs::Problem::Band::ALL.fetch(scope)

      def history
        here, others = evidence.all(child).partition { |each| each.operation == operation }
        Rungs::Progress::NextProblems::History.new(here.map(&:record), others.map(&:record))
      end
    end
  end
end
