# frozen_string_literal: true

module Rungs
  module Clip
    # Twelve clips, one by one, the next chosen by what this person mixes up; no problem twice.
    module Practice
      LENGTH = 12
      # How often one is off the ladder, or has a slip.
      OFF = 0.12
      SLIPPED = 0.2

      module_function

      # @param confusions [Confusions]
      # @param taken [Array<String>] equations that were in this practice
      # @param random [Random]
      # @return [Scene]
      def next(confusions, taken, random)
        seed = random.rand(1..9999)
        code = random.rand < OFF ? Maker::OFF.sample(random: random) : confusions.next_rung(random)
        slip = slips(code).sample(random: random) if random.rand < SLIPPED
        Maker.new(code: code, slip: slip, seed: seed).scenes(1, except: taken).first
      end

      def slips(rung) = Slip::ALL.select { |slip| slip.rungs.include?(rung) }.map(&:id).uniq
    end
  end
end
