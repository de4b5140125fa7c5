# frozen_string_literal: true

module Records
  # What the items of a lesson part are made from, what was told into them, and why the part is there: a value.
  #
  #   options: {String => Object} of its activity; seed, count: Integer, what is made of them
  #   thrown: {Integer => Hash} by place, the data of items that were thrown, told or settled
  #   children: [Integer] for whom it is; note: the teacher’s words to it
  #   sets: [{level, children}] whose numbers each set of a story is
  #   slip: the id of one that it brings out
  #   by_hand: places of items that the teacher changed
  #   own: what its teacher wrote, as Rungs::Own::Part keeps it
  #   purpose, range, why, proposed, instead, passed_over: as a proposed week put it there, and in the place of what
  class Details < JsonValue
    fields :options, :seed, :count, :thrown, :note, :range, :why, :proposed, :instead, :sets, :slip,
           :own, :by_hand,
           children: "for", passed_over: "not", purpose: "role"

    # @param written [Rungs::Own::Part]
    # @return [Hash{Symbol => Object}] what a part holds of it
    def self.own(written)
      items = written.items
      { options: { "picture" => written.picture }, own: written.json_fields, count: 0,
        thrown: items.each_with_index.to_h { |data, place| [place, data] } }
    end

    def options = super.to_h
    def children = super.to_a
    def by_hand = super.to_a
    def passed_over = super.to_a

    # @return [Hash{String => Array<Integer>}] of a story, the children whose numbers each set is, by level
    def sets = super.to_a.to_h { |set| set.transform_keys(&:to_sym).values_at(:level, :children) }

    # As the core gave it: by name, whatever lies within what.
    def thrown
      @thrown ||= JSON.parse(super.to_h.to_json, symbolize_names: true).transform_keys { |place| place.to_s.to_i }
    end

    # Whether each item is kept itself.
    def settled? = !count.nil? && (0...count).all? { |place| thrown.key?(place) }
  end
end
