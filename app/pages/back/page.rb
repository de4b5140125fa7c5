# frozen_string_literal: true

module Pages
  module Back
    # A lesson, a week or a term, looked back on.
    class Page < Shared::Page
      view :"back/back", tab: "climb", title: "Look back"

      TERM_DAYS = 13 * 7
      VIEWS = %w[lesson week term].freeze

      def stretch = asked[:view] || VIEWS.first
      def day = asked[:day] || room.heard_up_to(today) || today
      def back = @back ||= Records::LookBack.new(room, evidence, *span)

      # The first and the last day looked back on.
      def span
        monday = Rungs::SchoolDays.monday(day)
        { "lesson" => [day, day], "week" => [monday, monday + 6], "term" => [day - TERM_DAYS, day] }.fetch(stretch)
      end

      def span_title
        stretch == "lesson" ? long_date(day) : "#{short_date(back.from)} to #{short_date(back.to)}"
      end

      # The address of another stretch or day.
      def here(view: stretch, on: day) = "/back/#{room.id}?view=#{view}&day=#{on}"

      # The day before or after this one on which somebody was heard.
      def neighbour_day(step) = step.positive? ? room.heard_after(day) : room.heard_before(day)

      def doing(rung, band)
        Rungs::Strategy::Rung.word(rung, among: Rungs::Problem::Band::ALL.fetch(band).rungs, &:doing)
      end

      # Who learnt as much in the same place, under what it was: "Knows the facts to 10 now", "4 more facts known".
      # @return [Hash{String => Array<Records::LookBack::Learnt>}]
      def learnt_alike
        back.learnt.group_by do |each|
          "#{learnt(each)}, #{operation_title(each.operation).downcase}, #{band_title(each.band)}"
        end
      end

      def learnt(each)
        return "Knows #{facts_of(each)} now" if each.range

        each.facts == 1 ? "One more fact known" : "#{each.facts} more facts known"
      end

      def facts_of(each) = evidence.estimate_on(each.child, each.operation, each.band, back.to).words.facts

      # "by making ten with 9 + 4; counting on was likely." Below what was likely it is another way today.
      def surprise(each)
        heard, likely = [each.rung, each.expected].map { |rung| Rungs::Strategy::Rung.at(rung).doing }
        written = each.problem.expression
        "by #{heard} with #{written}#{each.up ? "; #{likely} was likely." : ': another way today.'}"
      end

      def where_moved(move) = "#{page_of(move.child)}?operation=#{move.operation}&band=#{move.band}"
    end
  end
end
