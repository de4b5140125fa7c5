# frozen_string_literal: true

module Pages
  module Sheets
    # The sheets of one day or several, of some kinds.
    class PackContract < Shared::Contract
      params do
        required(:from).filled(:date)
        required(:to).filled(:date)
        optional(:kinds).array(:string, included_in?: ::Sheets::Pack::KINDS.keys)
      end

      %i[from to].each { |key| rule(key).validate(:of_class) }
      rule(:to, :from) do
        key.failure("is at most a week after the first day") unless (0..6).cover?(values[:to] - values[:from])
      end
    end
  end
end
