# frozen_string_literal: true

module Pages
  module Lessons
    # A part, and the one whose place it takes.
    class OrderContract < Shared::Contract
      params do
        required(:item).filled(:integer, included_in?: ID)
        required(:place).filled(:integer, included_in?: ID)
      end
    end
  end
end
