# frozen_string_literal: true

require "open3"

module Pages
  module Sheets
    # Paper: what the lesson needs first, then every sheet there is; a true preview beside the choices.
    class Routes < Shared::Tab
      helpers Shared::ClassMargin

      # Days that are printed for.
      AHEAD = 7
      # Dots an inch of the preview.
      SHARP = 110
      # What a cell of the clipboard offers: mark, code and title of each rung, then of what is off the ladder.
      MARKS = [*Rungs::Strategy::Rung::ALL.map { |rung| [rung.level.to_s, rung.id, rung.title] },
               *{ "0" => "no_answer", "g" => "guess", "?" => "unseen" }.map do |mark, id|
                 [mark, id, Rungs::Strategy::OffLadder::ALL.fetch(id).title]
               end].freeze

      before("/:room/?*") do
        @tab, @title = "sheets", "Sheets"
        @form = checked(SheetContract)
      end

      get "/:room" do
        @margin = class_margin { |child| "/climb/#{room.id}/children/#{child.id}" }
        trouble
        erb :"sheets/sheets"
      end

      get "/:room/sheet.pdf" do
        note_act("exported", room) if chosen[:sheet] == "families"
        headers "content-type" => "application/pdf", "content-disposition" => "inline; filename=#{chosen[:sheet]}.pdf"
        sheet.render
      end

      # All that some days need, of these kinds, as one file.
      get "/:room/pack.pdf" do
        form = checked(PackContract)
        lessons = (form[:from]..form[:until]).filter_map { |day| room.lesson_on(day) }
        lines = LessonPapers.of(lessons).select { |line| form[:kinds].to_a.include?(line.choices[:sheet]) }
        refuse("Nothing of that kind is needed on these days") if lines.empty?
        headers "content-type" => "application/pdf", "content-disposition" => "inline; filename=sheets.pdf"
        ::Sheets::Pack.join(lines.filter_map { |line| printed(line.choices) })
      end

      # What was circled on the clipboard, on the same grid.
      get "/:room/enter" do
        @title, @scripts = "Enter the clipboard", %w[enter]
        @asked = papers.asked
        @entered = lesson ? Records::Observation.by_item(lesson) : {}
        erb :"sheets/enter"
      end

      # The first page as it will be printed.
      get "/:room/preview.png" do
        headers "content-type" => "image/png"
        png, status = Open3.capture2("pdftoppm", "-png", "-r", SHARP.to_s, "-f", "1", "-l", "1", "-singlefile", "-",
                                     stdin_data: first_page.render, binmode: true)
        status.success? ? png : refuse("This sheet cannot be shown; print it instead")
      end

      helpers do
        def day = @form[:day] || coming_day

        # Today, the next school day, and what is planned after it.
        def days
          planned = room.lessons_dataset.unordered.where(held_on: today..today + AHEAD).select_order_map(:held_on)
          [today, next_school_day, *planned].uniq.sort
        end

        def lesson = @lesson ||= room.lesson_on(day)
        def papers = @papers ||= LessonPapers.new(lesson)

        # What was chosen; else what the lesson needs first, else the first sheet there is.
        def chosen
          wanted = @form[:sheet] ? @form.except(:day) : papers.lines.first&.choices
          wanted = { sheet: "practice", **wanted.to_h }
          @chosen ||= { seed: 1, per_page: 6, copies: copies_of(wanted[:sheet]), paper: room.setting("paper"),
                        large: false, name: true, answers: false, number: 10, **wanted }
        end

        # Children’s sheets for each of them, the teacher’s own once.
        def copies_of(sheet) = %w[practice recording].include?(sheet) ? room.children.size.clamp(1, 40) : 1

        # That sheet by itself, and how often: what is cut once for each group.
        # @return [Array(String, Integer), nil] nil where there is no such sheet
        def printed(choices)
          query = URI.encode_www_form({ **choices, copies: 1 })
          asked = env.except(Rack::RACK_REQUEST_QUERY_HASH)
          status, _, body = self.class.call(asked.merge("PATH_INFO" => "/#{room.id}/sheet.pdf",
                                                        "QUERY_STRING" => query))
          [body.each.to_a.join, copies_in_pack(choices[:sheet])] if status == 200
        end

        def copies_in_pack(sheet)
          return copies_of(sheet) unless sheet == "cutouts"

          Rungs::Planning::Bring.shares("group", room.children.size).clamp(1, 40)
        end

        def part = @part ||= chosen[:part] && (room.part(chosen[:part]) || halt(404))
        def activity = part&.activity || Rungs::Activity::ALL[chosen[:activity]] || Rungs::Activity::ALL.first
        def options_of = activity.fitted(room.at_work).merge(params.slice(*activity.options.map(&:id)))
        def how = chosen.slice(:paper, :large, :copies)
        def down? = room.setting("sentences") == "down"
        def for_children = { down: down?, **chosen.slice(:name, :answers, :per_page) }

        def first_page = sheet(copies: 1, **(chosen[:sheet] == "families" ? { first: true } : {}))

        # @return [::Sheets::Sheet]
        def sheet(**more) = send(:"#{chosen[:sheet]}_sheet", **how, **more)

        def practice_sheet(**more)
          more = { **more, **for_children }
          return ::Sheets::Practice.of(kind, seed: chosen[:seed], **more) unless part

          items = items_of_part.select { |item| [nil, item.told[:number_set]].include?(chosen[:set]) }
          ::Sheets::Practice.new(items: items, title: activity.title, made_of: { part: part.id },
                                 **::Sheets::Practice.shown(activity), **more)
        end

        # Of the story of this part, easier first.
        def number_sets = items_of_part.filter_map { |item| item.told[:number_set] }.uniq
        def items_of_part = (0...part.items.size).map { |index| part.items.item(index) }.select(&:ask)

        # What each group of the lesson, or one child, might be asked next.
        def own_sheet(**more)
          sets = owners.filter_map do |children|
            items = next_for(children)
            [chosen[:child] ? 1 : children.size, items] if items.any?
          end
          ::Sheets::OwnNumbers.new(sets: sets, title: "#{operation_title(focus[0])}, #{band_title(focus[1])}",
                                   **more, **for_children)
        end

        # @return [Array<Array<Records::Child>>]
        def owners
          return [[room.child(chosen[:child]) || halt(404)]] if chosen[:child]

          by_id = room.children.to_h { |child| [child.id, child] }
          lesson&.groups.to_a.map { |ids| by_id.values_at(*ids).compact }.reject(&:empty?)
        end

        # By the rung that most of them work at.
        # @return [Array<Rungs::Activity::Item>]
        def next_for(children)
          rungs = children.filter_map { |child| evidence.estimate(child, *focus, on: today).working }
          working = rungs.tally.max_by { |rung, times| [times, -rung] }&.first
          asked = Rungs::Progress::NextProblems.propose(working: working, operation: focus[0], band: focus[1],
                                                        count: chosen[:per_page])
          asked.map { |each| told.item(told.class.told(each.problem, "")) }
        end

        def told = @told ||= Rungs::Activity::POSED.with({}, room.activity_settings)
        def kind = activity.with(options_of, room.activity_settings)

        def kind_in(kinds) = kinds.key?(chosen[:kind]) ? chosen[:kind] : kinds.keys.first

        def recording_sheet(**more)
          id = kind_in(::Sheets::Recording::KINDS)
          number = part ? largest : chosen[:number]
          ::Sheets::Recording.new(kind: id, number: number, title: part ? activity.title : number.to_s, down: down?,
                                  turned: room.setting("turned"), whole: room.pictured[:whole],
                                  name: chosen[:name], made_of: { kind: id, number: number }, **more)
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
          turns = listening.on(day).map { |turn| [turn.name, turn.because] }
          link = substitute_address(lesson) if lesson&.substitute_key
          ::Sheets::LessonPage.new(parts: papers.told, turns: turns, link: link,
                                   title: "#{room.name}, #{long_date(day)}", **more)
        end

        # A page for each family, for the days of conferences.
        def families_sheet(**more)
          notes = room.children.lazy.map do |child|
            source = Records::FamilyNote::Source.new(child, evidence, today)
            ::Sheets::FamilyNote::Note.new(title: "#{child.name}, #{long_date(today)}", picture: source.picture,
                                           parts: Records::FamilyNote.parts_of(child, source))
          end
          notes = notes.first(1) if more[:first]
          ::Sheets::FamilyNote.new(notes: notes, where: room.named, title: "For families", **more.except(:first))
        end

        # Why there is no such sheet, in a sentence.
        def trouble
          sheet
        rescue Rungs::Error => e
          @trouble = Rungs.capital(e.message)
        end

        def address(name)
          options = chosen[:sheet] == "practice" && !part ? options_of : {}
          "/sheets/#{room.id}#{name}?#{URI.encode_www_form({ day: day, **chosen, **options }.compact)}"
        end
      end
    end
  end
end
