# frozen_string_literal: true

# How much a benchmark does: as usual; or with BENCH_SMALL=1 as little as shows that it still runs, without a judgement.
module Size
  module_function

  def small? = ENV["BENCH_SMALL"] == "1"
  def of(usual, small) = small? ? small : usual
end
