# frozen_string_literal: true

module Pages
  module Sheets
    # Which sheet, of what, and what is chosen about it, by the entries. What is left out is as the class or the lesson
    # has it.
    class SheetContract < Shared::Contract
      # By id: the values of all sheets that have this choice.
      CHOICES = ::Sheets::ALL.flat_map(&:choices).group_by(&:id).transform_values do |all|
        all.first.number? ? all.first.among : all.flat_map(&:among).uniq
      end
      TYPES = { Integer => :integer, String => :string, TrueClass => :bool, FalseClass => :bool }.freeze

      params do
        optional(:sheet).filled(:string, included_in?: ::Sheets::ALL.ids)
        optional(:day).filled(:date)
        optional(:part).filled(:integer, included_in?: ID)
        optional(:usual).filled(:string, included_in?: Rungs::Activity::USUAL)
        optional(:activity).filled(:string, included_in?: Rungs::Activity::ALL.ids)
        CHOICES.each do |id, values|
          type = TYPES.fetch(values.first(2).compact.last.class)
          optional(id).public_send(values.include?(nil) ? :maybe : :filled, type, included_in?: values)
        end
      end

      rule(:day).validate(:of_class)
    end
  end
end
