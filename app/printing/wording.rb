# frozen_string_literal: true

module Printing
  # Days, numbers and names of things in words, as a class has them. Whoever asks knows the room.
  module Wording
    def long_date(day) = I18n.l(day.to_date, format: :weekday)
    def short_date(day) = I18n.l(day.to_date, format: :plain)
    def clock(time) = I18n.l(time, format: :clock)
    def plural(number, one, many = "#{one}s") = "#{number} #{number == 1 ? one : many}"
    def band_title(id) = Rungs::Problem::Band::ALL.fetch(id).title

    # @return [Array<Array(String, String)>] operations and ranges in which some answers were, the smallest range first
    def scopes_of(heard)
      scopes = heard.map { |each| [each.operation, each.problem.band] }.uniq
      scopes.sort_by { |operation, band| [operation, Rungs::Planning::Ranges.place(band)] }
    end

    def operation_title(id) = I18n.t("operation.#{id}.#{room.setting('minus')}")
  end
end
