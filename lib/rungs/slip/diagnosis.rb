# frozen_string_literal: true

module Rungs
  class Slip
    # The slips whose answer a child gave, likeliest first, and what to ask next (guide 6).
    #
    #   Diagnosis.new(problem, 13, rung: "count_on").slips.first.id  # => "start_counted"
    class Diagnosis
      # slip: the Slip. share: its prior among those that match. place: which of its answers it was. problem, answer: as
      # given.
      Match = Struct.new(:slip, :share, :place, :problem, :answer, keyword_init: true) do
        def id = slip.id
        def title = slip.title
        def why = slip.why(problem, answer)
        def ask = slip.ask(problem)
        def to_h = { slip: id, share: share.round(4), why: why, ask: ask }
      end

      attr_reader :problem, :answer

      # @param answer [Integer] what the child said
      # @param rung [String, nil] the strategy recorded; slips of another are dropped
      # @param among [Array<Slip>]
      # @raise [Error::Unknown] for a rung that is none
      def initialize(problem, answer, rung: nil, among: ALL)
        Strategy::Rung::ALL.fetch(rung) if rung && !Strategy::OffLadder::ALL.key?(rung)
        @problem = problem
        @answer = answer
        @rung = Strategy::Rung::ALL.key?(rung) ? rung : nil
        @among = among
      end

      # @return [Array<Match>] shares add up to 1; none for a right answer
      def slips
        @slips ||= begin
          total = fitting.sum { |slip, _| slip.prior }.to_f
          matches = fitting.map do |slip, place|
            Match.new(slip: slip, share: slip.prior / total, place: place, problem: problem, answer: answer)
          end
          matches.sort_by.with_index { |match, index| [-match.slip.prior, index] }
        end
      end

      # @return [Probe, nil] a problem that tells them apart, where two or more fit and one does
      def probe
        return @probe if defined?(@probe)

        @probe = slips.size >= 2 ? Probe.best(self) : nil
      end

      # @return [Problem, nil] what to ask next: the probe; where nothing tells them apart, or one is left, a second
      #   look at the likeliest
      def next_problem
        return if slips.empty?

        probe&.problem || Probe.second_look(problem, slips.first)
      end

      private

      # Each slip that gives this answer here, with the place of the answer among its own.
      def fitting
        return [] if answer == problem.answer

        candidates = Slip.for(problem, @among).select { |slip| slip.fits?(@rung) }
        @fitting ||= candidates.filter_map { |slip| (place = slip.place_of(answer, problem)) && [slip, place] }
      end
    end
  end
end
