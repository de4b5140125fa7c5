# frozen_string_literal: true

module Pages
  module Plan
    # What the pose form may hold.
    class DraftContract < Shared::Contract
      SITUATIONS = Rungs::Problem::Situation::ALL.ids.freeze

      params do
        optional(:situation).filled(:string, included_in?: SITUATIONS)
        optional(:band).filled(:string, included_in?: Rungs::Problem::Band::ALL.ids)
        optional(:numbers).value(:array, min_size?: 1, max_size?: 3).each(:integer, included_in?: 0..100)
        optional(:template).value(:string, max_size?: 140)
        optional(:names).value(:string, max_size?: 100)
        optional(:words).value(:string, max_size?: 400)
        optional(:part).maybe(:integer, included_in?: ID)
        optional(:also).value(:array, max_size?: 2).each(:string, included_in?: %w[easier harder])
        optional(:one).maybe(:bool)
        optional(:easier).value(:array, max_size?: 3).each(:integer, included_in?: 0..100)
        optional(:harder).value(:array, max_size?: 3).each(:integer, included_in?: 0..100)
        optional(:easier_situation).filled(:string, included_in?: SITUATIONS)
        optional(:harder_situation).filled(:string, included_in?: SITUATIONS)
        optional(:instead_of).value(:string, max_size?: 40)
      end
    end
  end
end
