# frozen_string_literal: true

module Pages
  module Sheets
    # Sheets that are being drawn.
    class JobPage < Shared::JobPage
      view :"shared/job", tab: "sheets", title: "Sheets", scripts: %w[job]

      def here = "/sheets/#{room.id}/jobs/#{job.id}"
      def counted = "#{job.done} of #{job.total} are drawn."
    end
  end
end
