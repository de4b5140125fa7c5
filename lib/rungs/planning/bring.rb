# frozen_string_literal: true

module Rungs
  module Planning
    # What to bring for a lesson, a day or a week: each thing once, with how many in all for this class (guide 11).
    #
    #   Bring.for([kind], children: 22).map(&:to_s)  # => ["245 counters; or buttons"]
    module Bring
      GROUP = 4
      SPARE = Rational(11, 10)
      # thing, instead: as the activities have them. in_all: how many for the whole class; nil where it is not counted.
      Thing = Struct.new(:thing, :in_all, :instead, keyword_init: true) do
        def to_s = [[in_all, thing].compact.join(" "), instead && "or #{instead}"].compact.join("; ")
      end

      module_function

      # @param kinds [Array<Class, Activity::Kind, Array(Activity::Kind, Array<Hash>)>] activities, or with their
      #   options, or with the data of their items too
      # @param children [Integer] present
      # @return [Array<Thing>] what is used by several is brought once, as many as the one that needs most
      def for(kinds, children:)
        needed = kinds.flat_map { |kind, data| data ? kind.materials_for(data) : kind.materials }.group_by(&:thing)
        needed.map do |thing, all|
          in_all = all.select(&:count).map { |each| amount(each, children) }.max
          Thing.new(thing: thing, in_all: in_all, instead: all.first.instead)
        end
      end

      # Loose things by so many come one set a pair; they are counted in fives, with a tenth to spare.
      MANY = 10
      FIVES = 5

      # @param per ["child", "pair", "group", "class"]
      # @return [Integer] how many of these a class of so many children is
      def shares(per, children)
        { "child" => children, "pair" => (children / 2.0).ceil, "group" => (children / GROUP.to_f).ceil,
          "class" => 1 }.fetch(per)
      end

      # @return [Integer] with a tenth to spare of what is small and comes in numbers
      def amount(material, children)
        loose = material.count > 2
        per = loose && material.per == "child" && material.count > MANY ? "pair" : material.per
        in_all = shares(per, children) * material.count
        loose ? (in_all * SPARE / FIVES).ceil * FIVES : in_all
      end
    end
  end
end
