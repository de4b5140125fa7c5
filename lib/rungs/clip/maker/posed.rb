# frozen_string_literal: true

module Rungs
  module Clip
    class Maker
      # Problems for which a move may be, in any order.
      module Posed
        private

        # @return [Enumerator::Lazy] problems for which one of the moves may be, in any order
        def problems(moves)
          situations = (@situation ? [@situation] : TOLD).select { |each| moves.any? { |move| suits?(move, each) } }
          bare = bare(moves)
          return bare.lazy if situations.empty?

          told = Array.new(LOOKED).lazy.map { problem_of(situations.sample(random: @random)) }
          @random.rand < OFTEN_BARE ? bare.lazy.chain(told) : told.chain(bare)
        end

        def suits?(move, situation)
          situation.sizes.include?(2) && (situation.operation == "add" ? move.adds? : move.subtracts?)
        end

        def problem_of(situation)
          pairs = PAIRS.fetch(@band&.id || PAIRS.keys.sample(random: @random))
          parts = pairs.sample(random: @random).shuffle(random: @random)
          Problem.new(parts: parts, unknown: situation.unknown, situation: situation.id)
        end

        def bare(moves)
          return [] if @situation || moves.all? { |move| move.shapes == %i[two] }

          all = BARE.map { |text| Problem::Equation.parse(text).to_problem }.shuffle(random: @random)
          all.select { |problem| @band.nil? || problem.band == @band.id }
        end
      end
    end
  end
end
