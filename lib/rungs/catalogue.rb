# frozen_string_literal: true

module Rungs
  # A list of entries that know their id, in their own order. Nothing elsewhere switches on an id: what
  # differs between entries is in the entry.
  #
  #   Problem::Situation::ALL.fetch("add_to.result").title
  class Catalogue
    include Enumerable

    # @param what [String] what one entry is called in messages ("situation")
    # @param entries [Array<#id>]
    def initialize(what, entries)
      @what = what
      @entries = entries.to_h { |entry| [entry.id, entry] }
    end

    def each(&) = @entries.values.each(&)
    def ids = @entries.keys
    def key?(id) = @entries.key?(id)
    def [](id) = @entries[id]

    # @raise [Error::Unknown] naming what there is
    def fetch(id)
      @entries.fetch(id) { raise Error::Unknown, "there is no #{@what} “#{id}”; there are #{ids.join(', ')}" }
    end

    # A catalogue with one entry more: what a school of its own would add.
    def with(entry) = Catalogue.new(@what, [*each.to_a, entry])
  end
end
