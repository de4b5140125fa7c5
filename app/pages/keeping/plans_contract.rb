# frozen_string_literal: true

module Pages
  module Keeping
    # Which lessons and weeks go into a file: those from one day to another.
    class PlansContract < Shared::Contract
      LONGEST = 400
      params do
        required(:from).filled(:date)
        required(:until).filled(:date)
      end

      rule(:from, :until) do
        base.failure("the first day comes before the last, at most a year") unless
          (0..LONGEST).cover?((values[:until] - values[:from]).to_i)
      end
    end
  end
end
