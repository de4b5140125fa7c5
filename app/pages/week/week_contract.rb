# frozen_string_literal: true

module Pages
  module Week
    # A week by one of its days, its aim, a part or a day of it, and where it goes.
    class WeekContract < Shared::Contract
      params do
        optional(:from).filled(:date)
        optional(:item).maybe(:integer, included_in?: ID)
        optional(:place).maybe(:date)
        optional(:day).filled(:date)
        optional(:seed).filled(:integer, included_in?: 1..9999)
        optional(:band).filled(:string, included_in?: Rungs::Planning::Widening::ORDER)
        optional(:operation).filled(:string, included_in?: Rungs::Problem::OPERATIONS)
        optional(:i_can).maybe(:string, max_size?: 120)
        optional(:do).filled(:string, included_in?: %w[copy move empty close open])
      end

      %i[from place day].each { |key| rule(key).validate(:of_class) }
    end
  end
end
