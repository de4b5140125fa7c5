# frozen_string_literal: true

module Printing
  # What the next teacher of a class reads on the first day: where it is and what to do first, then a page a child, in
  # the words of a child's page.
  class ForNextTeacher
    include Wording

    # Days that are looked back on; facts and names that are told at most; answers from which something helped.
    DAYS, MOST, HELPED = 84, 12, 3

    attr_reader :room

    # @param room [Records::Classroom]
    def initialize(room, today:)
      @room = room
      @today = today
      @evidence = Records::Evidence.new(room)
      @bearings = Records::Bearings.new(room, today + 1)
    end

    # @param size ["a4", "letter"]
    # @return [::Sheets::NextTeacher]
    # @raise [Rungs::Error::NotAProblem] where there is nobody
    def sheet(size)
      raise Rungs::Error::NotAProblem, "there is nobody on the list yet" if room.children.empty?

      pages = [of_class, *room.children.map { |child| of_child(child) }]
      ::Sheets::NextTeacher.new(each: pages, where: room.named, title: "For the next teacher", paper: size)
    end

    private

    def of_class
      parts = { "Where the class is" => Rungs::Problem::OPERATIONS.filter_map { |each| standing(each) },
                "On the first day" => first_day,
                "Slips that several share" => @bearings.slips.map { |slip| shared(slip) } }
      ::Sheets::NextTeacher::Told.new(title: "#{room.named}, #{long_date(@today)} #{@today.year}", parts: parts)
    end

    # "Adding: to 10 for 5, through ten for 12; together next: I can make ten first."
    def standing(operation)
      there = @bearings.standing(operation)
      return if there.edges.empty?

      ranges = Rungs::Planning::Ranges::ORDER.select { |range| there.edges.value?(range) }
      counts = ranges.map { |range| "#{band_title(range)} for #{there.edges.count { |_, edge| edge == range }}" }
      aim = there.aim(operation, there.range)
      "#{operation_title(operation)}: #{counts.join(', ')}. Together next: “#{aim.i_can}”"
    end

    def first_day
      unheard = room.children.reject { |child| known?(child) }.map(&:name)
      standings = Rungs::Problem::OPERATIONS.map { |each| @bearings.standing(each) }
      far = standings.flat_map { |there| there.far_from(there.range).keys }.uniq
      ["Begin with numbers everybody works with, and listen: one story, “how did you get that?”",
       ("A check-in each, five minutes: #{unheard.join(', ')}." if unheard.any?),
       ("Other numbers for #{far.map(&:name).join(', ')}: their pages say which." if far.any?)].compact
    end

    def known?(child) = Rungs::Problem::OPERATIONS.any? { |each| @bearings.standing(each).edges.key?(child) }

    def shared(slip)
      title = Rungs::Slip.title_in(slip.id, @bearings.at_work[:operation])
      "#{Rungs.capital(title)}: #{slip.names.map(&:name).join(', ')}."
    end

    def of_child(child)
      late = @evidence.all(child).select { |each| each.record.day > @today - DAYS }
      parts = { "Works" => works(child, late), "Knows by heart" => known(late),
                "Slips that came back" => slips(late), "What helped" => helped(late) }
      ::Sheets::NextTeacher::Told.new(title: child.name, parts: parts)
    end

    # Of each operation and range that was heard of late.
    def works(child, late)
      told = scopes_of(late).map do |operation, band|
        estimate = @evidence.estimate(child, operation, band, on: @today)
        words = estimate.words
        "#{operation_title(operation)}, #{band_title(band)}: #{words.works || 'not enough heard'}. " \
          "#{words.reason(method(:short_date))}"
      end
      told.empty? ? ["Nothing was heard in the last twelve weeks: a check-in tells where to begin."] : told
    end

    def known(late)
      Rungs::Problem::OPERATIONS.filter_map do |operation|
        there = late.select { |each| each.operation == operation }.map(&:record)
        facts = Rungs::Progress::FactMap.new(there, on: @today)
        known = facts.by_state["known"].to_a.first(MOST).map { |parts| parts.join(" and ") }
        "#{operation_title(operation)}: #{known.join(', ')}." if known.any?
      end
    end

    def slips(late)
      late.group_by(&:slip).except(nil).select { |_, all| all.size > 1 }.map do |slip, all|
        "#{Rungs.capital(slip.title)} (#{all.size} times). Ask: “#{room.asks(slip, all.last.problem)}”"
      end
    end

    # What was used in right answers above counting all.
    def helped(late)
      right = late.select { |each| each.record.right && each.record.rung.to_i > 1 }
      used = right.flat_map { |each| each.used - ["nothing"] }.tally.select { |_, many| many >= HELPED }
      used.sort_by { |_, many| -many }.map { |thing, many| "#{Rungs.capital(I18n.t("used.#{thing}"))}, #{many} times." }
    end
  end
end
