# frozen_string_literal: true

module Pages
  module Sheets
    # The sheets of one day or several, of some kinds.
    class PackContract < Shared::Contract
      params do
        required(:from).filled(:date)
        required(:until).filled(:date)
        optional(:kinds).array(:string, included_in?: ::Sheets::Pack::KINDS.keys)
      end

      %i[from until].each { |key| rule(key).validate(:of_class) }
      rule(:until, :from) do
        key.failure("is at most a week after the first day") unless (0..6).cover?(values[:until] - values[:from])
      end
    end
  end
end
