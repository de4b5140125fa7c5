# frozen_string_literal: true

require "concurrent/map"

module Records
  # What an estimate is about within an operation: a band, or a family of facts, written "family:double".
  module Scope
    FAMILY = "family:"

    module_function

    # @param id [String] of Problem::Family::ALL
    def family(id) = "#{FAMILY}#{id}"
    def family?(scope) = scope.start_with?(FAMILY)

    def bands = Rungs::Problem::Band::ALL.ids
    def families = Rungs::Problem::Family::ALL.ids.map { |id| family(id) }
    def all = bands + families

    # @return [Array<String>] the scopes of a problem: its band, then its families
    def of(band, parts)
      KNOWN.compute_if_absent([band, parts]) do
        [band, *Rungs::Problem::Family.of(parts).map { |id| family(id) }].freeze
      end
    end

    # @return [String] a band or a family by its name
    def title(scope)
      return Rungs::Problem::Family::ALL.fetch(scope.delete_prefix(FAMILY)).title if family?(scope)

      Rungs::Problem::Band::ALL.fetch(scope).title
    end

    KNOWN = Concurrent::Map.new
    private_constant :KNOWN
  end
end
