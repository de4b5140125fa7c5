# frozen_string_literal: true

module Pages
  module Keeping
    # A file that is being made, or brought in.
    class JobPage < Shared::JobPage
      view :"shared/job", tab: "records", title: "Records", scripts: %w[job]

      def here = "/records/#{room.id}/jobs/#{job.id}"
      def making = job.kind == "look" ? "The file is being looked at." : super
      def counted = "#{job.done} of #{job.total} #{job.kind == 'bring_in' ? 'lines' : 'photos'} are in."
    end
  end
end
