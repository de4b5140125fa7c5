# frozen_string_literal: true

module Records
  # One field for a child, an old problem, or a day.
  class Search
    MOST = 12

    # @param room [Classroom]
    # @param words [String] as typed: part of a name, of a story, an equation, or a day
    # @param today [Date]
    def initialize(room, words, today)
      @room = room
      @words = words.strip
      @today = today
    end

    # @return [Array<Child>] on the list, then off it
    def children
      named = Child.where(classroom_id: @room.id).where(Sequel.ilike(:name, "%#{like(@words)}%"))
      asked? ? named.order(Sequel.desc(Sequel.lit("left_on IS NULL")), :name).limit(MOST).all : []
    end

    # @return [Array<PosedProblem>] newest first
    def problems
      return [] unless asked?

      told = Sequel.ilike(:story, "%#{like(@words)}%")
      found = @room.problems_dataset.where(told | Sequel.like(squeezed, "%#{like(bare)}%"))
      found.reverse(:posed_at).limit(MOST).all
    end

    # @return [Date, nil] the day that was meant: the last such weekday, the nearest such date that is not far ahead
    def day
      parts = Date._parse(@words)
      return weekday(parts[:wday]) if parts[:wday] && !parts[:mday]
      return unless parts[:mon] && parts[:mday]

      years = parts[:year] ? [parts[:year]] : [@today.year, @today.year - 1]
      days = years.filter_map do |year|
        Date.valid_date?(year, parts[:mon], parts[:mday]) && Date.new(year, parts[:mon], parts[:mday])
      end
      days.find { |each| each <= @today + MOST } || days.last
    end

    private

    def asked? = @words.size.positive?
    def weekday(wday) = @today - ((@today.wday - wday) % 7)
    def like(text) = text.gsub(/[\\%_]/) { "\\#{_1}" }

    # An equation whichever way it is typed, without its spaces and its box.
    def bare = @words.tr("-–?", "−−□").delete(" ")
    def squeezed = Sequel.function(:replace, :equation, " ", "")
  end
end
