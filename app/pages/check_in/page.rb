# frozen_string_literal: true

module Pages
  module CheckIn
    # Before a check-in, with what the last one found; or the problem that is asked now.
    class Page < Shared::Page
      view :"check_in/start", tab: "climb", scripts: %w[check_in]

      attr_reader :child

      def initialize(visitor, child)
        super(visitor)
        @child = child
        @posed = latest.current if latest && latest.ended_at.nil?
      end

      def title = "Check in with #{child.name}"
      def view = posed ? :"check_in/ask" : super
      def latest = @latest ||= Records::CheckIn.latest(child)
      def chosen_child = child
      def way_to(child) = "/check-in/#{room.id}/#{child.id}"

      # The problem that is asked; nil where none is.
      attr_reader :posed

      # What the last one came to, where it came to its end.
      # @return [Rungs::Progress::CheckIn, Rungs::Progress::CheckIn::Both, nil]
      def found = latest&.ended_at && latest.core.answers.any? ? latest.core : nil

      # What to ask next from where the child was found.
      # @return [Array<Rungs::Progress::NextProblems::Proposal>]
      def following(operation, standing)
        asked = found.answers.filter_map { |answer| answer.problem.exact_fact if answer.problem.operation == operation }
        history = Rungs::Progress::NextProblems::History.asked(asked)
        Rungs::Progress::NextProblems.propose(working: standing.rung, operation: operation, band: standing.band,
                                              history: history, count: 2, year: room.setting("year"))
      end

      # @return [Array<Array(String, String)>] operations with their words, the usual first
      def operations = [["both", "find out"], *Rungs::Problem::OPERATIONS.map { |id| [id, operation_title(id)] }]
      def ladder_of(operation, standing) = "#{page_of(child)}?operation=#{operation}&band=#{standing.band}"
    end
  end
end
