# frozen_string_literal: true

module Pages
  module Listen
    # Numbers a child said, in order, with spaces between.
    class HeardContract < Shared::Contract
      NUMBERS = /\A\d{1,3}( \d{1,3}){0,60}\z/

      params do
        required(:problem).filled(:integer, included_in?: ID)
        required(:heard).filled(:string, format?: NUMBERS)
        optional(:seconds).filled(:integer, included_in?: 0..Details::LONGEST)
      end
    end
  end
end
