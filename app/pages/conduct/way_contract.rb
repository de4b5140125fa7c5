# frozen_string_literal: true

module Pages
  module Conduct
    # A way a child gave for one item: groups of marks ("1,2,3;4,5"), by what is missing, a move or a rung that was
    # heard, as it was done by hand on the picture, or as it is written.
    class WayContract < Shared::Contract
      params do
        required(:item).filled(:integer, included_in?: 0..299)
        optional(:groups).maybe(:string, format?: /\A\d{1,2}(,\d{1,2})*(;\d{1,2}(,\d{1,2})*)*\z/, max_size?: 120)
        optional(:missing).filled(:bool)
        optional(:hands).filled(:bool)
        optional(:written).maybe(:string, max_size?: 60)
        optional(:rung).maybe(:string, included_in?: Rungs::Strategy::Rung::ALL.ids)
        optional(:move).maybe(:string, max_size?: 40)
        optional(:part_id).filled(:integer, included_in?: ID)
        optional(:client_key).filled(:string, format?: UUID)
        optional(:child_id).maybe(:integer, included_in?: ID)
      end
    end
  end
end
