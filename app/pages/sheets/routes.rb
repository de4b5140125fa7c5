# frozen_string_literal: true

require "forwardable"
require "open3"

module Pages
  module Sheets
    # Paper: what the lesson needs first, then every sheet there is; a true preview beside the choices.
    class Routes < Shared::Tab
      needs :print, %r{/enter\z} => :record

      # Dots an inch of the preview.
      SHARP = 110
      before("/:room/?*") do
        @form = checked(SheetContract)
      end

      get("/:room") { show Page.new(visitor, printing) }

      get "/:room/sheet.pdf" do
        printing.store_items.sheet
        note_act("exported", room) if entry.for_whom == :family
        made_as_job "sheet", form: printing.chosen, options: params.slice(*activity.options.map(&:id))
      end

      # All that some days need, of these kinds, as one file.
      get "/:room/pack.pdf" do
        form = checked(PackContract)
        asked = { from: form[:from], until: form[:until], kinds: form[:kinds].to_a }
        days = form[:from]..form[:until]
        needed = Printing::LessonPapers.of_days(room, days, asked[:kinds])
        refuse("Nothing of that kind is needed on these days") if needed.empty?
        days.each { |day| room.lesson_on(day)&.course&.store_items }
        made_as_job "pack", **asked
      end

      # What is drawn beside the server: how far it is, then the file.
      get("/:room/jobs/:job") { job_page JobPage.new(visitor, job: found_job) }

      # What was circled on a sheet to type in, on the same grid.
      get "/:room/enter" do
        @form = { **@form, sheet: ::Sheets::ALL.find(&:typed_in).id }
        show EnterPage.new(visitor, printing.store_items)
      end

      # The first page as it will be printed.
      get "/:room/preview.png" do
        headers "content-type" => "image/png"
        png, status = Open3.capture2("pdftoppm", "-png", "-r", SHARP.to_s, "-f", "1", "-l", "1", "-singlefile", "-",
                                     stdin_data: printing.first_page.render, binmode: true)
        status.success? ? png : refuse("This sheet cannot be shown; print it instead")
      end

      helpers Shared::MadeBeside
      helpers do
        extend Forwardable

        def_delegators :printing, :entry, :activity

        def day = @form[:day] || coming_day

        def printing
          about = { today: today, day: day, options: params.to_h, evidence: evidence, link: link }
          @printing ||= Printing::OfClass.new(room, @form, **about)
        end

        # That opens the lesson for whoever takes the class.
        def link
          there = room.lesson_on(day)
          visitor.address.lesson(there) if there&.substitute_key
        end

        def made_as_job(kind, **asked)
          made_beside(kind, at: "/sheets/#{room.id}", **asked, today: today, day: day, link: link)
        end

        def sent(job)
          name = job.asked.dig("form", "sheet") || "sheets"
          as_file "#{name}.pdf", "application/pdf", shown: true
          streamed job
        end
      end
    end
  end
end
