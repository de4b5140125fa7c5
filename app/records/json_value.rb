# frozen_string_literal: true

module Records
  # A value that is kept as JSON: its names there are given once, and its JSON is read and written here alone. nil says
  # that a thing is not told.
  class JsonValue
    class << self
      # @return [Hash{Symbol => String}] the names of its things in JSON
      attr_reader :names

      # @param json [Hash{String => Object}, JsonValue, nil] as it is kept
      def read(json)
        if json.is_a?(JsonValue)
          json
        else
          new(json.to_h.transform_keys do |key|
            names.key(key.to_s) || raise(KeyError, key)
          end)
        end
      end

      private

      # @param names [Array<Symbol>] what it holds, under the same name in JSON
      # @param others [Hash{Symbol => String}] what has another there
      def fields(*names, **others)
        @names = names.to_h { |name| [name, name.to_s] }.merge(others).freeze
        readers = @names.keys
        include(Module.new { readers.each { |name| define_method(name) { @values[name] } } })
      end
    end

    def initialize(values = {})
      @values = values.compact.freeze
    end

    # @return [JsonValue] with some things changed; nil takes one out
    def with(**changes) = self.class.new(@values.merge(changes))

    def empty? = @values.empty?
    def to_h = @values.transform_keys(self.class.names)
    def to_json(*) = to_h.to_json
    def ==(other) = other.is_a?(self.class) && other.to_h == to_h

    # For the database.
    def to_jsonb = Sequel.pg_jsonb(to_h)
  end
end
