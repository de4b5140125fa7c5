# frozen_string_literal: true

module Records
  # How often each rung was heard: week by week.
  class Distribution
    # One bar: what it stands for, and how many of each rung, 1 to 5.
    Bar = Struct.new(:title, :counts, keyword_init: true) do
      def total = counts.sum
    end

    # @param classroom [Classroom]
    def initialize(classroom)
      @classroom = classroom
    end

    # @param from [Date]
    # @return [Array<Bar>] by the Monday each week begins with
    def by_week(operation, from:)
      week = Sequel.cast(
        Sequel.function(:date_trunc, "week",
                        Sequel.lit("observations.happened_at AT TIME ZONE ?", @classroom.time_zone)), Date
      )
      rows = heard.where(Sequel[:posed][:operation] => operation)
                  .where(Sequel[:observations][:happened_at] >= @classroom.midnight(from))
                  .group(:week, Sequel[:observations][:rung])
                  .select(week.as(:week), Sequel[:observations][:rung], Sequel.function(:count).*.as(:times)).naked.all
      rows.group_by { |row| row[:week] }.sort.map { |monday, those| bar(monday, those) }
    end

    private

    def heard
      @classroom.observations_dataset.standing.exclude(Sequel[:observations][:rung] => nil)
                .join(:problems, { classroom_id: :classroom_id, id: :problem_id }, table_alias: :posed)
    end

    def bar(title, rows)
      counts = rows.to_h { |row| [row[:rung], row[:times]] }
      Bar.new(title: title, counts: (1..5).map { |rung| counts.fetch(rung, 0) })
    end
  end
end
