# frozen_string_literal: true

require "forwardable"
require "open3"

module Pages
  module Sheets
    # Paper: what the lesson needs first, then every sheet there is; a true preview beside the choices.
    class Routes < Shared::Tab
      # Dots an inch of the preview.
      SHARP = 110
      before("/:room/?*") do
        @form = checked(SheetContract)
      end

      get("/:room") { show Page.new(self, printing) }

      get "/:room/sheet.pdf" do
        printing.settle.sheet
        note_act("exported", room) if entry.for_whom == :family
        made_beside "sheet", form: printing.chosen, options: params.slice(*activity.options.map(&:id))
      end

      # All that some days need, of these kinds, as one file.
      get "/:room/pack.pdf" do
        form = checked(PackContract)
        asked = { from: form[:from], until: form[:until], kinds: form[:kinds].to_a }
        days = form[:from]..form[:until]
        needed = Printing::LessonPapers.of_days(room, days, asked[:kinds])
        refuse("Nothing of that kind is needed on these days") if needed.empty?
        days.each { |day| room.lesson_on(day)&.course&.settle }
        made_beside "pack", **asked
      end

      # What is drawn beside the server: how far it is, then the file.
      get "/:room/jobs/:job" do
        page = JobPage.new(self, job: found_job)
        return made(page.job) if page.job.ready? && (page.job.trouble.nil? || params[:open])

        headers "hx-redirect" => page.here if page.job.ready? && htmx?
        status 202 unless page.job.ready?
        show page
      end

      # What was circled on the clipboard, on the same grid.
      get "/:room/enter" do
        @form = { **@form, sheet: "clipboard" }
        show EnterPage.new(self, printing.settle)
      end

      # The first page as it will be printed.
      get "/:room/preview.png" do
        headers "content-type" => "image/png"
        png, status = Open3.capture2("pdftoppm", "-png", "-r", SHARP.to_s, "-f", "1", "-l", "1", "-singlefile", "-",
                                     stdin_data: printing.first_page.render, binmode: true)
        status.success? ? png : refuse("This sheet cannot be shown; print it instead")
      end

      helpers do
        extend Forwardable

        def_delegators :printing, :entry, :activity

        def day = @form[:day] || coming_day

        def printing
          about = { today: today, day: day, options: params.to_h, evidence: evidence, link: link }
          @printing ||= Printing::OfClass.new(room, @form, **about)
        end

        def found_job
          id = params[:job][/\A\d{1,17}\z/]
          job = Records::Job.first(id: id, account_id: account_id, classroom_id: room.id) || halt(404)
          job.failed? ? refuse("#{job.trouble || 'it took too long'}. Nothing was printed") : job
        end

        # That opens the lesson for whoever takes the class.
        def link
          there = room.lesson_on(day)
          substitute_address(there) if there&.substitute_key
        end

        # Drawn by the process beside the server; where there is none, here.
        def made_beside(kind, **asked)
          asked = { **asked, today: today, day: day, link: link }
          job = Records::Job.ask(kind, asked.to_json.then { |text| JSON.parse(text) }, account_id: account_id,
                                                                                       classroom_id: room.id)
          return redirect("/sheets/#{room.id}/jobs/#{job.id}") if Records::Job.worker?

          Jobs::Worker.do_now(job)
          job.failed? ? refuse(job.trouble) : made(job)
        rescue Records::Job::TooMany
          refuse("#{Records::Job::MOST} of your sheets are being drawn; wait until one is ready")
        end

        def made(job)
          name = job.asked.dig("form", "sheet") || "sheets"
          headers "content-type" => "application/pdf", "content-disposition" => "inline; filename=#{name}.pdf"
          job.made
        end
      end
    end
  end
end
