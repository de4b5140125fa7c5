# frozen_string_literal: true

module Pages
  module Week
    # Five lessons side by side: whom to hear, what is brought and printed on which days, who is not ready yet.
    class Page < Shared::Page
      include Shared::Bringing

      view :"week/week", tab: "plan", title: "The week"

      attr_reader :week, :offer

      def how = "week"

      # @return [Rungs::Planning::Outlook] what it is about beside its days
      def outlook = @outlook ||= Records::Proposal.new(week, today).outlook

      # @return [Records::Week, nil] the week before, where what it was for counts as reached
      def reached
        before = Records::Week.new(room, monday - 7)
        before if before.reached?
      end

      # "Thursday and Friday", on which everybody is heard once; nil where no check is planned.
      def check_days
        days = week.dates.select { |date| week.parts_on(date).any?(&:alongside?) }
        days.map { |date| I18n.l(date, format: "%A") }.join(" and ") if days.any?
      end

      # "Monday 9:55": when the others practise, on the days that an adult has time for some.
      def adult_times
        outlook.with_adult.first[:days].map do |day|
          date = Date.iso8601(day)
          before = week.parts_on(date).take_while { |part| part.details.purpose != "practise" }.sum(&:minutes)
          hour, minute = room.setting("starts").split(":").map(&:to_i)
          from = (hour * 60) + minute + before
          "#{I18n.l(date, format: '%A')} #{from / 60}:#{format('%02d', from % 60)}"
        end
      end

      def check_facts = outlook.check.facts.map(&:expression)

      # @param week [Records::Week]
      # @param offer [Records::Widening::Offer, nil] of a wider range
      def initialize(visitor, week, offer: nil, **asked)
        super(visitor, **asked)
        @week = week
        @offer = offer
      end

      def monday = week.monday
      def here(day = monday) = "/week/#{room.id}?from=#{day}"
      def next_up = listening.waiting(today).map(&:child)

      # Whom to hear on each day to come.
      def hear
        days = week.dates.select { |date| date >= today && !week.off?(date) }
        @hear ||= days.empty? || room.children.empty? ? {} : listening.plan(days).to_h { |day| [day.date, day.turns] }
      end

      # The day that things are brought for; nil for the whole week.
      def bring_day = week.dates.find { |date| date == asked[:day] }

      # The one that a phone shows.
      def open_day = bring_day || (week.dates.include?(today) ? today : monday)
      def bring_days = bring_day ? [bring_day] : week_days
      def parts_to_bring_for = bring_days.flat_map { |date| week.parts_on(date) }

      # The school days that are still to come; of a week that is over, all.
      def week_days
        school = week.dates.reject { |date| week.off?(date) }
        coming = school.select { |date| date >= today }
        coming.any? ? coming : school
      end

      # Sheets of each kind that these days need.
      # @return [Hash{String => Integer}]
      def sheets
        lessons = bring_days.filter_map { |date| week.lesson(date) }
        @sheets ||= Printing::LessonPapers.of_lessons(lessons).map { |line| line.sheet.shelf }.tally
      end

      # "9 sheets for each child"
      def how_many(kind)
        each = { child: "each child", group: "each group" }[::Sheets::Pack.for_whom(kind)]
        [plural(sheets[kind], "sheet"), each].compact.join(" for ")
      end

      def first_planned = week.dates.find { |date| week.parts_on(date).any? }

      # Days to come that have nothing.
      def free_days? = week.dates.any? { |date| date >= today && !week.off?(date) && week.parts_on(date).empty? }

      # The lesson that left something for this day.
      def left_to(date)
        @left_over = week.left_over(today).to_a unless defined?(@left_over)
        @left_over.last if @left_over.first == date
      end

      # Who is not ready, by what for: "Dov, Hamish (not sure enough yet)"
      def waiting_for(offer)
        by_reason = offer.waiting.group_by(&:last).transform_values { |all| all.map(&:first) }
        by_reason.map { |why, children| "#{children.map(&:name).join(', ')} (#{why})" }.join("; ")
      end

      # Activities that are new to nobody.
      def usual = Rungs::Activity::USUAL.map { |id| Rungs::Activity::ALL.fetch(id) }

      # Where a whole day may go: the other school days of this week and the next.
      def other_days(date) = (monday...monday + 14).select { |day| day != date && Rungs::SchoolDays.school_day?(day) }

      def ordinal(date) = I18n.l(date, format: :day)
    end
  end
end
