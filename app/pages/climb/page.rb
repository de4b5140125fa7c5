# frozen_string_literal: true

module Pages
  module Climb
    # The class between two days: a ladder for each child and band, or family.
    class Page < Shared::Page
      view :"climb/climb", tab: "climb", title: "Climb"

      # Always there; the rest as soon as something was heard in them.
      BANDS = %w[to5 to10 teens bridge].freeze
      SINCE_DAYS = 28

      def margin = nil

      # How the class is looked at.
      # @return [View]
      def looked = @looked ||= View.new(asked, first: [room.first_day || today, today].min, today: today)

      # @return [Array<String>] scopes, each a column
      def columns
        @columns ||= begin
          there = looked.families? ? Records::Scope.families : Records::Scope.bands
          evidence.read(looked.operation, there, day: looked.from)
          looked.families? ? there : there.select { |id| BANDS.include?(id) || evidence.heard?(looked.operation, id) }
        end
      end

      # @return [Array<Row>]
      def rows = @rows ||= sorted(room.children.map { |child| Row.of(child, evidence, looked, columns) })

      # Whose turn it is today.
      def turn?(child) = (@turns ||= listening.waiting(today).map { |turn| turn.child.id }).include?(child.id)
      def scope_title(scope) = Records::Scope.title(scope)
      def sorted_by = columns.index(looked.sort)

      # Whether those of another rung begin with this row.
      def group_begins?(index)
        return false unless sorted_by && index.positive?

        rows[index].estimates[sorted_by].working != rows[index - 1].estimates[sorted_by].working
      end

      # What stands in a cell: the rung, or the two that are named; and how much is known. Where facts are only counted,
      # how they were heard.
      def cell_name(estimate)
        return estimate.words.counted if estimate.scope.top.nil?

        estimate.working ? estimate.title : estimate.words.so_far.to_s
      end

      # Whether two rungs are named in a cell, each with its tint.
      def two?(estimate) = !estimate.knows? && estimate.named.size > 1
      def cell_tint(estimate) = two?(estimate) ? "cell-two" : "cell-#{estimate.working || 0}"

      def reason_of(child, scope)
        "#{page_of(child)}/reason?operation=#{looked.operation}&band=#{scope}&to=#{looked.to}"
      end

      private

      def sorted(rows)
        if sorted_by
          return rows.sort_by do |row|
            row.estimates[sorted_by].then do |each|
              [-(each.working || 0), -each.confidence]
            end
          end
        end

        looked.sort == "last" ? rows.sort_by { |row| evidence.last_heard[row.child.id]&.jd || 0 } : rows
      end
    end
  end
end
