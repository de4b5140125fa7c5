# frozen_string_literal: true

module Pages
  module Keeping
    # What is handed over: of whom, every answer or where each child is, and whether photos go along.
    class HandedContract < Shared::Contract
      params do
        required(:children).filled(:array).each(:integer, included_in?: ID)
        required(:as).filled(:string, included_in?: %w[records estimates])
        optional(:photos).maybe(:bool)
      end
    end
  end
end
