# frozen_string_literal: true

module Records
  # What the items of a lesson part are made from, what was told into them, and why the part is there: a value. Its JSON
  # is read and written here alone.
  #
  #   options: {String => Object} of its activity; seed, count: Integer, what is made of them
  #   thrown: {Integer => Hash} by place, the data of items that were thrown, told or settled
  #   children: [Integer] for whom it is; note: the teacher’s words to it
  #   role, range, why, proposed, instead, passed_over: as a proposed week put it there, and in the place of what
  class Details
    # Their names in JSON.
    KEYS = { options: "options", seed: "seed", count: "count", thrown: "thrown", children: "for", note: "note",
             role: "role", range: "range", why: "why", proposed: "proposed", instead: "instead",
             passed_over: "not" }.freeze
    NAMES = KEYS.invert.freeze

    # @param json [Hash{String => Object}, nil] as it is kept
    def self.of(json)
      json.is_a?(Details) ? json : new(json.to_h.transform_keys { |key| NAMES.fetch(key.to_s) })
    end

    def initialize(values)
      @values = values.compact.freeze
    end

    %i[seed count note role range why proposed instead].each { |name| define_method(name) { @values[name] } }
    def options = @values[:options].to_h
    def children = @values[:children].to_a
    def passed_over = @values[:passed_over].to_a

    # As the core gave it: by name, whatever lies within what.
    def thrown
      @thrown ||= JSON.parse(@values[:thrown].to_h.to_json, symbolize_names: true)
                      .transform_keys { |place| place.to_s.to_i }
    end

    # Whether each item is kept itself.
    def settled? = !count.nil? && (0...count).all? { |place| thrown.key?(place) }

    # @return [Details] with some things changed; nil takes one out
    def with(**changes) = Details.new(@values.merge(changes))

    def to_h = @values.transform_keys(KEYS)
    def to_json(*) = to_h.to_json

    # For the database.
    def kept = Sequel.pg_jsonb(to_h)
  end
end
