# frozen_string_literal: true

module Printing
  # What the next teacher of a class reads on the first day: where it is and what to do first, then a page a child, in
  # the words of a child's page.
  class ForNextTeacher
    include Wording

    # Days that are looked back on; facts and names that are told at most; answers from which something helped.
    DAYS = 84
    MOST = 12
    HELPED = 3

    attr_reader :room

    # @param room [Records::Classroom]
    def initialize(room, today:)
      @room = room
      @today = today
      @evidence = Records::Evidence.new(room)
      @class_standing = Records::ClassStanding.new(room, today + 1)
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
                "Slips that several share" => @class_standing.slips.map { |slip| shared(slip) } }
      ::Sheets::NextTeacher::Told.new(title: "#{room.named}, #{long_date(@today)} #{@today.year}", parts: parts)
    end

    # "Adding: to 10 for 5, through ten for 12; together next: I can make ten first."
    def standing(operation)
      there = @class_standing.standing(operation)
      return if there.edges.empty?

      ranges = Rungs::Planning::Ranges::ORDER.select { |range| there.edges.value?(range) }
      counts = ranges.map { |range| "#{band_title(range)} for #{there.edges.count { |_, edge| edge == range }}" }
      aim = there.aim(there.range)
      "#{operation_title(operation)}: #{counts.join(', ')}. Together next: “#{aim.i_can}”"
    end

    def first_day
      unheard = room.children.reject { |child| known?(child) }.map(&:name)
      standings = Rungs::Problem::OPERATIONS.map { |each| @class_standing.standing(each) }
      far = standings.flat_map { |there| there.far_from(there.range).keys }.uniq
      ["Begin with numbers everybody works with, and listen: one story, “how did you get that?”",
       ("A check-in each, five minutes: #{unheard.join(', ')}." if unheard.any?),
       ("Other numbers for #{far.map(&:name).join(', ')}: their pages say which." if far.any?)].compact
    end

    def known?(child) = Rungs::Problem::OPERATIONS.any? { |each| @class_standing.standing(each).edges.key?(child) }

    def shared(slip)
      title = Rungs::Slip.title_in(slip.id, @class_standing.current_aim[:operation])
      "#{Rungs.capital(title)}: #{slip.names.map(&:name).join(', ')}."
    end

    # A line of summary, then three paragraphs at most.
    def of_child(child)
      late = heard_of_late.fetch(child.id, [])
      parts = { "In short" => [in_short(child, late)] }
      Rungs::Problem::OPERATIONS.each do |operation|
        there = late.select { |each| each.operation == operation }
        parts[operation_title(operation)] = [standing_of(child, operation, there)] if there.any?
      end
      parts["To look out for"] = [*slips(late), *helped(late)].join(" ").then { |told| told.empty? ? [] : [told] }
      ::Sheets::NextTeacher::Told.new(title: child.name, parts: parts)
    end

    def heard_of_late = @heard_of_late ||= @evidence.late(@today - DAYS + 1...@today + 1).group_by(&:child_id)

    # Where the child was heard most of late.
    def in_short(child, late)
      return "Nothing was heard in the last twelve weeks: a check-in tells where to begin." if late.empty?

      place = late.map { |each| [each.operation, each.problem.band] }.tally.max_by(&:last).first
      works = @evidence.estimate(child, *place, on: @today).words.works(method(:short_date))
      "#{operation_title(place[0])}, #{band_title(place[1])}: #{child.name} #{works || 'was not heard enough'}."
    end

    # Each range of an operation that was heard of late, and what comes at once.
    def standing_of(child, operation, late)
      bands = late.map { |each| each.problem.band }.uniq.sort_by { |band| Rungs::Planning::Ranges.place(band) }
      told = bands.map do |band|
        words = @evidence.estimate(child, operation, band, on: @today).words
        "#{Rungs.capital(band_title(band))}: #{words.works(method(:short_date)) || 'not heard enough'}."
      end
      [*told, known(operation, late.map(&:record))].compact.join(" ")
    end

    def known(operation, records)
      map = Rungs::Progress::FactMap.new(records, operation: operation, on: @today)
      facts = map.by_state.fetch("known", []).first(MOST)
      sign = operation == "add" ? " + " : " − "
      "At once: #{facts.map { |fact| fact.join(sign) }.join(', ')}." if facts.any?
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
