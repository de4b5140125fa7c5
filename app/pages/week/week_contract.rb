# frozen_string_literal: true

module Pages
  module Week
    # A week by one of its days, a part or a day of it, and where it goes.
    class WeekContract < Shared::Contract
      params do
        optional(:from).filled(:date)
        optional(:item).maybe(:integer, included_in?: ID)
        optional(:place).maybe(:date)
        optional(:day).filled(:date)
        optional(:seed).filled(:integer, included_in?: 1..9999)
        optional(:do).filled(:string, included_in?: %w[copy empty close open])
      end

      %i[from place day].each { |key| rule(key).validate(:of_class) }
    end
  end
end
