# frozen_string_literal: true

module Pages
  module Shared
    # What takes long is made by the process beside the server, while a page says how far it is; where there is none,
    # here. A tab that has it says how what was made is sent: sent(job).
    module MadeBeside
      # @param kind [String] an id of Jobs::Worker::KINDS
      # @param at [String] the address under which its page is
      def made_beside(kind, at:, **asked)
        job = Records::Job.ask(kind, JSON.parse(asked.to_json), account_id: account_id, classroom_id: room.id)
        return redirect("#{at}/jobs/#{job.id}") if Records::Job.worker?

        Jobs::Worker.do_now(job)
        job.failed? ? refuse(job.trouble) : sent(job)
      rescue Records::Job::TooMany
        refuse("#{Records::Job::MOST} of your files are being made; wait until one is ready")
      end

      # The file that was made, a piece after the other.
      def streamed(job)
        headers "content-length" => job.size.to_s
        job.stream
      end

      # How far it is, then the file; what of it could not be made is said before.
      def job_page(page)
        opens = page.job.trouble.nil? && !htmx?
        return sent(page.job) if page.job.ready? && (opens || params[:open])

        status 202 unless page.job.ready?
        show page
      end

      def found_job
        id = params[:job][/\A\d{1,17}\z/]
        job = Records::Job.first(id: id, account_id: account_id, classroom_id: room.id) || halt(404)
        job.failed? ? refuse(job.trouble || "It took too long") : job
      end
    end
  end
end
