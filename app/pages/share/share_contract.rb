# frozen_string_literal: true

module Pages
  module Share
    # A way to show: a move, or a number and the pieces it is broken into; on which picture, checked by which; and
    # whether it stays there, done, beside others.
    class ShareContract < Shared::Contract
      params do
        required(:problem).filled(:integer, included_in?: ID)
        optional(:move).filled(:string, included_in?: Rungs::Strategy::Move::ALL.ids)
        optional(:record).filled(:string, format?: UUID)
        optional(:broken).filled(:integer, included_in?: 0..100)
        optional(:pieces).value(:array, size?: 2).each(:integer, included_in?: 0..100)
        optional(:on).maybe(:string, included_in?: Rungs::Picture::KINDS.ids)
        optional(:stand).filled(:bool)
        optional(:beside).maybe(:string, included_in?: Rungs::Picture::KINDS.ids)
      end

      rule(:move, :record, :broken) do
        unless values[:move] || values[:record] || (values[:broken] && values[:pieces])
          base.failure("choose a way, or a number and its two pieces")
        end
      end
    end
  end
end
