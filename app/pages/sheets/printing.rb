# frozen_string_literal: true

module Pages
  module Sheets
    # What is to be printed for a class, and how: from the choices of a form to the drawn sheet. It knows no request, so
    # that the server and the process that draws beside it make the same.
    class Printing
      include Shared::Helpers

      attr_reader :room, :day

      # @param room [Records::Classroom]
      # @param form [Hash] as SheetContract lets it through; what is left out is as the class or the lesson has it
      # @param options [Hash{String => String}] of an activity
      # @param today [Date]
      # @param day [Date] of the lesson
      # @param evidence [Records::Evidence]
      # @param link [String, nil] that opens the lesson for whoever takes the class
      def initialize(room, form, today:, day:, options: {}, evidence: Records::Evidence.new(room), link: nil)
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
      # @return [Printing] this one
      def settle
        return self unless of_lesson? && lesson

        @lesson = room.lesson_for(day).tap { |each| each.course.plan_usual if each.course.parts.empty? }
        @lesson.course.settle
        @papers = @chosen = @part = nil
        self
      end

      def papers = @papers ||= LessonPapers.new(lesson)

      # What was chosen; else what the lesson needs first, else the first sheet there is.
      def chosen
        @chosen ||= begin
          wanted = @form[:sheet] ? @form.except(:day) : papers.lines.first&.choices
          wanted = { sheet: "practice", **wanted.to_h }
          { seed: 1, per_page: 6, copies: copies_of(wanted[:sheet]), paper: room.setting("paper"),
            large: false, name: true, answers: false, number: 10, **wanted }
        end
      end

      # Whether it is about the lesson of that day.
      def of_lesson? = chosen.key?(:part) || chosen.key?(:usual) || %w[clipboard lesson].include?(chosen[:sheet])

      # Children’s sheets for each of them, the teacher’s own once.
      def copies_of(sheet) = %w[practice recording].include?(sheet) ? room.children.size.clamp(1, 40) : 1

      # As often as a pack has it: what is cut once for each group.
      def copies_in_pack
        return copies_of(chosen[:sheet]) unless chosen[:sheet] == "cutouts"

        Rungs::Planning::Bring.shares("group", room.children.size).clamp(1, 40)
      end

      # @return [::Sheets::Sheet]
      # @raise [Rungs::Error] where there is no such sheet
      def sheet(**more) = send(:"#{chosen[:sheet]}_sheet", **chosen.slice(:paper, :large, :copies), **more)

      def first_page = sheet(copies: 1, **(chosen[:sheet] == "families" ? { first: true } : {}))

      # @return [Records::LessonPart, nil] of the lesson, whose items are on the sheet
      # @raise [Records::Gone]
      def part
        @part ||= if chosen[:part] then room.part(chosen[:part]) || gone
                  elsif chosen[:usual] then lesson&.course&.parts.to_a.find do |each|
                    each.kind == chosen[:usual]
                  end || gone
                  end
      end

      def activity = part&.activity || Rungs::Activity::ALL[chosen[:activity]] || Rungs::Activity::ALL.first
      def options_of = activity.fitted(room.at_work).merge(@options.slice(*activity.options.map(&:id)))
      def kind = activity.with(options_of, room.activity_settings)

      # Of the story of this part, easier first.
      def number_sets = items_of_part.filter_map { |item| item.told[:number_set] }.uniq

      private

      def gone = raise(Records::Gone)

      def planned
        there = room.lesson_on(day)
        there unless there && there.course.parts.empty? && day >= @today
      end

      def for_children = { down: room.setting("sentences") == "down", **chosen.slice(:name, :answers, :per_page) }
      def items_of_part = (0...part.items.size).map { |index| part.items.item(index) }.select(&:ask)

      def practice_sheet(**more)
        more = { **more, **for_children }
        return ::Sheets::Practice.of(kind, seed: chosen[:seed], **more) unless part

        items = items_of_part.select { |item| [nil, item.told[:number_set]].include?(chosen[:set]) }
        ::Sheets::Practice.new(items: items, title: activity.title, made_of: { part: part.id }.compact,
                               **::Sheets::Practice.shown(activity), **more)
      end

      # What each group of the lesson, or one child, might be asked next.
      def own_sheet(**more)
        sets = owners.filter_map do |children|
          items = next_for(children)
          [chosen[:child] ? 1 : children.size, items] if items.any?
        end
        title = "#{operation_title(focus[0])}, #{band_title(focus[1])}"
        ::Sheets::OwnNumbers.new(sets: sets, title: title, **more, **for_children)
      end

      def focus = @focus ||= (last = room.last_problem) ? [last.operation, last.band] : %w[add to10]

      # @return [Array<Array<Records::Child>>]
      def owners
        return [[room.child(chosen[:child]) || gone]] if chosen[:child]

        by_id = room.children.to_h { |child| [child.id, child] }
        lesson&.groups.to_a.map { |ids| by_id.values_at(*ids).compact }.reject(&:empty?)
      end

      # By the rung that most of them work at.
      # @return [Array<Rungs::Activity::Item>]
      def next_for(children)
        rungs = children.filter_map { |child| @evidence.estimate(child, *focus, on: @today).working }
        working = rungs.tally.max_by { |rung, times| [times, -rung] }&.first
        asked = Rungs::Progress::NextProblems.propose(working: working, operation: focus[0], band: focus[1],
                                                      count: chosen[:per_page])
        asked.map { |each| told.item(told.class.told(each.problem, "")) }
      end

      def told = @told ||= Rungs::Activity::POSED.with({}, room.activity_settings)
      def kind_in(kinds) = kinds.key?(chosen[:kind]) ? chosen[:kind] : kinds.keys.first

      def recording_sheet(**more)
        id = kind_in(::Sheets::Recording::KINDS)
        number = part ? largest : chosen[:number]
        ::Sheets::Recording.new(kind: id, number: number, title: part ? activity.title : number.to_s,
                                down: for_children[:down], turned: room.setting("turned"),
                                whole: room.pictured[:whole], name: chosen[:name],
                                made_of: { kind: id, number: number }, **more)
      end

      # The whole that a part is about.
      def largest
        ((0...part.items.size).filter_map { |index| part.items.item(index).problem&.whole }.max || 10).clamp(1, 20)
      end

      def cutouts_sheet(**more)
        id = kind_in(::Sheets::Cutouts::KINDS)
        made_of = { kind: id, **chosen.slice(:seed, :to).compact }
        options = { **made_of.transform_keys(&:to_s), "whole" => room.pictured[:whole] }
        ::Sheets::Cutouts.new(kind: id, options: options, title: nil, made_of: made_of, **more)
      end

      def clipboard_sheet(**more)
        ::Sheets::Clipboard.new(children: room.children.map(&:name), problems: papers.asked.map(&:equation),
                                title: "#{room.name}, #{long_date(day)}", **more)
      end

      def lesson_sheet(**more)
        turns = Records::ListeningList.new(room, @evidence, focus).on(day).map { |turn| [turn.name, turn.because] }
        ::Sheets::LessonPage.new(parts: papers.told, turns: turns, link: @link,
                                 title: "#{room.name}, #{long_date(day)}", **more)
      end

      # A page for each family, for the days of conferences.
      def families_sheet(**more)
        notes = room.children.lazy.map do |child|
          source = Records::FamilyNote::Source.new(child, @evidence, @today)
          ::Sheets::FamilyNote::Note.new(title: "#{child.name}, #{long_date(@today)}", picture: source.picture,
                                         parts: Records::FamilyNote.parts_of(child, source))
        end
        notes = notes.first(1) if more[:first]
        ::Sheets::FamilyNote.new(notes: notes, where: room.named, title: "For families", **more.except(:first))
      end
    end
  end
end
