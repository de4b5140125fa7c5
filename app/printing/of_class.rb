# frozen_string_literal: true

require "forwardable"

module Printing
  # What is to be printed for a class, and how: from the choices of a form to the drawn sheet; and all that sheets ask
  # of a class, its lesson and its records. It knows no request, so that the server and the process that draws beside
  # it make the same.
  class OfClass < ::Sheets::Source
    include Wording
    extend Forwardable

    attr_reader :room, :day, :link

    def_delegators :papers, :asked, :page_parts
    def_delegators :room, :children

    # @param room [Records::Classroom]
    # @param form [Hash] as SheetContract lets it through; what is left out is as the class or the lesson has it
    # @param options [Hash{String => String}] of an activity
    # @param today [Date]
    # @param day [Date] of the lesson
    # @param evidence [Records::Evidence]
    # @param link [String, nil] that opens the lesson for whoever takes the class
    def initialize(room, form, today:, day:, options: {}, evidence: Records::Evidence.new(room), link: nil)
      super()
      @room = room
      @form = form
      @options = options
      @today = today
      @day = day
      @evidence = evidence
      @link = link
    end

    # The lesson of that day; where nothing is planned for it, one with the usual parts.
    # @return [Records::Lesson, nil] nil of a day gone by on which there was none
    def lesson = @lesson ||= planned || (Records::Lesson.usual(room, day) if day >= @today)

    # Settles what is printed of the lesson, so that paper and board and what is entered afterwards are of the same
    # problems, whatever is heard meanwhile.
    # @return [OfClass] this one
    def store_items
      return self unless of_lesson? && lesson

      @lesson = room.lesson_for(day).tap { |each| each.course.plan_usual if each.course.parts.empty? }
      @lesson.course.store_items
      @papers = @wanted = @chosen = @part = nil
      self
    end

    def papers = @papers ||= LessonPapers.new(lesson)

    # Which sheet: what was chosen; else what the lesson needs first, else the first there is.
    # @return [Class] of ::Sheets::ALL
    def entry = ::Sheets::ALL.fetch(wanted[:sheet])

    # What is chosen about it, where nothing is said as it is usual there.
    def chosen
      @chosen ||= { **entry.usual, paper: room.setting("paper"), copies: entry.copies(children.size), **wanted }
    end

    def of_lesson? = chosen.key?(:part) || chosen.key?(:usual) || entry.of_lesson

    # @return [::Sheets::Sheet]
    # @raise [Rungs::Error] where there is no such sheet
    def sheet(**more) = entry.of(self, { **chosen, **more })
    def first_page = sheet(copies: 1, first: true)

    # @return [Records::LessonPart, nil] of the lesson, whose items are on the sheet
    # @raise [Records::Gone]
    def part = @part ||= chosen.key?(:part) || chosen.key?(:usual) ? found_part || gone : nil

    def activity = part&.activity || Rungs::Activity::ALL[chosen[:activity]] || Rungs::Activity::ALL.first
    def options_of = activity.fitted(room.current_aim).merge(@options.slice(*activity.options.map(&:id)))
    def kind = activity.with(options_of, room.activity_settings)
    def items = (0...part.items.size).map { |index| part.items.item(index) }.select(&:ask)

    # Of the story of this part, easier first.
    def number_sets = part ? items.filter_map { |item| item.posing[:number_set] }.uniq : []

    # The largest whole that a part is about.
    def largest = part && (items.filter_map { |item| item.problem&.whole }.max || 10).clamp(1, 20)

    def written
      { down: room.setting("sentences") == "down", whole: room.pictured[:whole], turned: room.setting("turned") }
    end

    def heading = "#{room.name}, #{long_date(day)}"
    def where = room.named
    def turns = Records::ListeningList.new(room, @evidence, focus).on(day).map { |turn| [turn.name, turn.because] }

    # A page for each family, for the days of conferences; worked out one by one.
    def notes
      children.lazy.map do |child|
        source = Records::FamilyNote::Source.new(child, @evidence, @today)
        ::Sheets::NotePages::Note.new(title: "#{child.name}, #{long_date(@today)}", picture: source.picture,
                                      parts: Records::FamilyNote.parts_of(child, source))
      end
    end

    # A page for home for each child, with what the week of that day is about and numbers of the child's own.
    def homes
      week = Records::Week.new(room, Rungs::SchoolDays.monday(day))
      things = Rungs::Planning::AtHome.things(week.parts.flat_map { |each| each.items.kind.materials })
      edges = week.standing.edges
      children.lazy.map do |child|
        range = edges.fetch(child, week.goal.range)
        told = Rungs::Planning::AtHome.new(aim: week.goal, range: range, things: things, seed: child.id)
        ::Sheets::HomePages::Home.new(name: child.name, advice: told)
      end
    end

    # What each group of the lesson, or one child, might be asked next.
    # @return [Array<Array(Integer, Array<Rungs::Activity::Item>)>]
    def sets(child:, per_page:)
      owners = child ? [[room.child(child) || gone]] : groups
      owners.map { |some| [child ? 1 : some.size, next_for(some, per_page)] }.reject { |_, items| items.empty? }
    end

    def focus_title = "#{operation_title(focus[0])}, #{band_title(focus[1])}"

    # @return [Array<Array<Records::Child>>]
    def groups
      by_id = children.to_h { |child| [child.id, child] }
      lesson&.groups.to_a.map { |ids| by_id.values_at(*ids).compact }.reject(&:empty?)
    end

    # Whom it may be for instead, where it is for one child.
    def one_child = chosen[:child] ? children.to_h { |child| [child.id, child.name] } : {}

    private

    def gone = raise(Records::Gone)

    def found_part
      return room.part(chosen[:part]) if chosen[:part]

      lesson&.course&.parts.to_a.find { |each| each.kind == chosen[:usual] }
    end

    def wanted
      @wanted ||= { sheet: "practice", **(@form[:sheet] ? @form.except(:day) : papers.lines.first&.choices.to_h) }
    end

    def planned
      there = room.lesson_on(day)
      there unless there && there.course.parts.empty? && day >= @today
    end

    def focus = @focus ||= (last = room.last_problem) ? [last.operation, last.band] : %w[add to10]

    # By the rung that most of them work at.
    # @return [Array<Rungs::Activity::Item>]
    def next_for(some, count)
      rungs = some.filter_map { |child| @evidence.estimate(child, *focus, on: @today).works_out }
      working = rungs.tally.max_by { |rung, times| [times, -rung] }&.first
      asked = Rungs::Progress::NextProblems.propose(working: working, operation: focus[0], band: focus[1],
                                                    count: count, year: room.setting("year"))
      asked.map { |each| posed.item(posed.class.data_for(each.problem, "")) }
    end

    def posed = @posed ||= Rungs::Activity::POSED.with({}, room.activity_settings)
  end
end
