# frozen_string_literal: true

module Pages
  module Shared
    # Something that is made beside the server: how far it is; or what of it could not be made. A tab says where its
    # page is, and what is counted.
    class JobPage < Page
      def job = asked.fetch(:job)
      def margin = nil
      def hushed? = true

      def how_far
        return "Waits for what was asked for before." if job.state == "waiting"

        job.total > 1 ? counted : making
      end

      def making = "It is being made."
    end
  end
end
