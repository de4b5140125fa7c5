# frozen_string_literal: true

module Rungs
  module Progress
    class CheckIn
      # How likely a child of some standing shows a rung on a problem, and so how much an answer would tell.
      module Likelihood
        # How likely a fact is known in a band before the child's own, in it and after it (guide 10 sets no figure;
        # these are ours).
        KNOWN = { -1 => 0.8, 0 => 0.35, 1 => 0.05 }.freeze
        KINDS = Hash.new do |all, (operation, band)|
          all[[operation, band]] = CheckIn.pool(operation, band).group_by(&:affords).values
        end
        private_constant :KINDS

        private

        # Whether a band lies before the child's own, is it, or after it.
        def side_of(standing, in_band)
          in_band == standing.band ? 0 : BANDS.index(in_band) <=> BANDS.index(standing.band)
        end

        # The rung a child so standing works out by in a band.
        def mostly(standing, in_band)
          highest = Scope.of(operation, in_band).levels.max
          { 0 => standing.rung, 1 => 1, -1 => highest }.fetch(side_of(standing, in_band))
        end

        # How likely a rung, or that it is known, is seen on a problem.
        def likelihood(standing, problem, rung)
          known = KNOWN.fetch(side_of(standing, problem.band))
          return known if rung == 5

          levels = levels_of(problem)
          (1 - known) * Rule::DEFAULT.share(level(problem, rung), from: mostly(standing, problem.band),
                                                                  among: levels | [level(problem, rung)])
        end

        # What a problem lets show of how it is worked out.
        def levels_of(problem) = problem.affords.filter_map { |rung| level(problem, rung) if rung < 5 }.uniq

        # Problems alike in band and in what they let show. A band above one where the child most probably counts
        # everything is not asked.
        def kinds = bands.reject { |each| out_of_reach?(each) }.flat_map { |each| KINDS[[operation, each]] }

        def out_of_reach?(in_band)
          place = BANDS.index(in_band)
          return false if band || place.zero?

          below = chances.select { |standing, _| BANDS.index(standing.band) < place && standing.rung <= 2 }
          below.values.sum > 0.5
        end

        # Expected information in bits: what hearing the answer would take away from not knowing.
        def information(problem)
          left = [*levels_of(problem), 5].sum do |rung|
            joint = chances.map { |standing, chance| chance * likelihood(standing, problem, rung) }
            total = joint.sum
            total.positive? ? total * uncertainty(joint.map { |each| each / total }) : 0
          end
          uncertainty(chances.values) - left
        end

        def uncertainty(shares) = -shares.sum { |share| share.positive? ? share * Math.log2(share) : 0 }
      end
    end
  end
end
