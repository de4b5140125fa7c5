# frozen_string_literal: true

module Pages
  module Keeping
    # A class that is being saved: how far it is.
    class JobPage < Sheets::JobPage
      view :"sheets/job", tab: "records", title: "Saving the class"

      def here = "/records/#{room.id}/jobs/#{job.id}"

      def how_far
        return "Waits for what was asked for before." if job.state == "waiting"

        job.total.positive? ? "#{job.done} of #{job.total} photos are in." : "It is being written."
      end
    end
  end
end
