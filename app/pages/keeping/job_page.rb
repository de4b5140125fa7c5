# frozen_string_literal: true

module Pages
  module Keeping
    # A class that is being saved.
    class JobPage < Shared::JobPage
      view :"shared/job", tab: "records", title: "Saving the class"

      def here = "/records/#{room.id}/jobs/#{job.id}"
      def counted = "#{job.done} of #{job.total} photos are in."
    end
  end
end
