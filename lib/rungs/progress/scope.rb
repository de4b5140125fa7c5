# frozen_string_literal: true

module Rungs
  module Progress
    # What the records of one operation are read within: a band, or a family of facts, and what the rules ask of it
    # (guide 10).
    #
    #   Scope.of("add", "bridge").top  # => 4
    #
    # top: the highest rung worked out by there; nil where facts are only counted. facts: of how many heard it may be
    # said that they are known; nil where never. among: the parts of a fact that is then one of the known, or nil.
    # title: "to 10".
    Scope = Struct.new(:top, :facts, :among, :title, keyword_init: true) do
      # @param name [String] the id of a band, or of a family after "family:"
      # @return [Scope]
      # @raise [Error::Unknown]
      def self.of(operation, name) = self::MADE[[operation, name]]

      # What a band asks is the same in both operations.
      def self.in_band(id) = of("add", id)

      def self.make(operation, name)
        family = Problem::Family::ALL.fetch(name.delete_prefix(self::FAMILY)) if name.start_with?(self::FAMILY)
        return of_family(operation, family) if family

        band = Problem::Band::ALL.fetch(name)
        new(top: band.top, facts: band.facts, among: band.among, title: band.title)
      end

      # Of a family so many facts, or all there are.
      def self.of_family(operation, family)
        all = Problem::Band::ALL.flat_map(&:telling_facts).count { |fact| family.fits?(fact) }
        there = operation == "add" ? all : 2 * all
        facts = [Rule::DEFAULT.family_facts, there].min if family.top
        new(top: family.top, facts: facts, among: nil, title: family.title)
      end
      private_class_method :of_family

      # Levels that a rung heard stands for: those above the top are the top.
      def level(rung) = [rung, top || Scope::LEAST_TOP].min
      def levels = (1..(top || Scope::LEAST_TOP))
    end

    Scope::FAMILY = "family:"
    Scope::LEAST_TOP = 3
    names = Problem::Band::ALL.ids + Problem::Family::ALL.ids.map { |id| "#{Scope::FAMILY}#{id}" }
    Scope::MADE = Problem::OPERATIONS.product(names).to_h { |place| [place, Scope.make(*place).freeze] }.freeze
  end
end
