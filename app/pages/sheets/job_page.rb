# frozen_string_literal: true

module Pages
  module Sheets
    # Something that is drawn beside the server: how far it is; or what of it could not be drawn.
    class JobPage < Shared::Page
      view :"sheets/job", tab: "sheets", title: "Sheets"

      def job = asked.fetch(:job)
      def margin = nil
      def hushed? = true
      def here = "/sheets/#{room.id}/jobs/#{job.id}"

      def how_far
        return "Waits for what was asked for before." if job.state == "waiting"

        job.total > 1 ? "#{job.done} of #{job.total} are drawn." : "It is being drawn."
      end
    end
  end
end
