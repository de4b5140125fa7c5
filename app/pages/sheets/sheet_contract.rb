# frozen_string_literal: true

module Pages
  module Sheets
    # Which sheet, of what, and how it is made. What is left out is as the class or the lesson has it.
    class SheetContract < Shared::Contract
      params do
        optional(:sheet).filled(:string, included_in?: %w[practice recording cutouts clipboard lesson families own])
        optional(:day).filled(:date)
        optional(:part).filled(:integer, included_in?: ID)
        optional(:usual).filled(:string, included_in?: Rungs::Activity::USUAL)
        optional(:activity).filled(:string, included_in?: Rungs::Activity::ALL.ids)
        optional(:child).filled(:integer, included_in?: ID)
        optional(:kind).filled(:string, included_in?: [*::Sheets::Recording::KINDS.keys, *::Sheets::Cutouts::KINDS.keys])
        optional(:seed).filled(:integer, included_in?: 1..9999)
        optional(:number).filled(:integer, included_in?: ::Sheets::Recording::NUMBERS)
        optional(:to).filled(:integer, included_in?: ::Sheets::Cutouts::KINDS.values.flat_map { |each| each.to.to_a })
        optional(:set).maybe(:string, included_in?: %w[easier middle harder])
        optional(:per_page).filled(:integer, included_in?: ::Sheets::Practice::PER_PAGE)
        optional(:copies).filled(:integer, included_in?: 1..40)
        optional(:paper).filled(:string, included_in?: ::Sheets::Paper::SIZES.keys)
        optional(:large).filled(:bool)
        optional(:name).filled(:bool)
        optional(:answers).filled(:bool)
      end

      rule(:day).validate(:of_class)
    end
  end
end
