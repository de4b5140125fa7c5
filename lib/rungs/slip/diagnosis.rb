# frozen_string_literal: true

module Rungs
  class Slip
    # The slips whose answer a child gave, likeliest first, and what to ask next (field guide 6).
    #
    #   Diagnosis.new(problem, 13, rung: "count_on").slips.first.id  # => "start_counted"
    class Diagnosis
      Match = Struct.new(:slip, :share, :place, :problem, :answer) do
        def why = slip.why(problem, answer)
        def id = slip.id
        def ask = slip.asks
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
          matching = answer == problem.answer ? [] : Slip.for(problem, @among).select { |slip| slip.fits?(@rung) && slip.place_of(answer, problem) }
          total = matching.sum(&:prior).to_f
          matching.sort_by.with_index { |slip, index| [-slip.prior, index] }
                  .map { |slip| Match.new(slip, slip.prior / total, slip.place_of(answer, problem), problem, answer) }
        end
      end

      # @return [Probe, nil] a problem that tells them apart, where two or more fit and one does
      def probe = slips.size >= 2 ? Probe.best(self) : nil
    end
  end
end
