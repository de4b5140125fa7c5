# frozen_string_literal: true

module Exchange
  module Archive
    # One thing of a row, in a file: its name, what it is, and how it is written and read.
    #
    #   name: Symbol, of its column too. kind: one of KINDS. note: what it is, for the schema. none: whether it may be
    #   null. to: Symbol, the list that a number points into. among: the words there are, where they are given. span:
    #   Range, from which to which number, or how long a text is, as forms have it.
    Field = Struct.new(:name, :kind, :note, :none, :to, :among, :span, keyword_init: true) do
      # @return [Hash] its JSON Schema
      def schema
        shape = among ? { "enum" => among } : spanned(self.class::KINDS.fetch(kind))
        { "description" => note, **(none ? or_null(shape) : shape) }
      end

      def spanned(shape)
        return shape unless span

        case kind
        when :text then { **shape, "minLength" => span.min, "maxLength" => span.max }
        when :numbers then { **shape, "items" => { "type" => "integer", "minimum" => span.min, "maximum" => span.max } }
        else { **shape, "minimum" => span.min, "maximum" => span.max }
        end
      end

      def or_null(shape)
        return { "enum" => [*shape["enum"], nil] } if shape.key?("enum")

        { **shape, "type" => [*shape["type"], "null"] }
      end

      # @param value [Object] of the database
      # @param numbers [Hash{Symbol => Hash{Integer => Integer}}] by list, a row's id there and its number in the file
      def write(value, numbers)
        return if value.nil?

        case kind
        when :ref then numbers.fetch(to)[value]
        when :time then value.getutc.iso8601(6)
        when :date then value.iso8601
        when :words, :numbers then value.to_a
        when *self.class::AS_JSON then Within.numbers(value, numbers)
        when :groups then Within.groups(value, numbers)
        else value
        end
      end

      # The other way.
      # @param ids [Hash{Symbol => Hash{Integer => Integer}}] by list, a number in the file and the id that a row gets
      def read(value, ids)
        case kind
        when :ref then value && ids.fetch(to).fetch(value)
        when :words then Sequel.pg_array(value, :text)
        when :numbers then Sequel.pg_array(value, :integer)
        when *self.class::AS_JSON then value && Sequel.pg_jsonb(Within.numbers(value, ids))
        when :groups then value && Sequel.pg_jsonb(Within.groups(value, ids))
        else value
        end
      end
    end
    # A list of one kind, as JSON Schema.
    LIST = ->(each) { { "type" => "array", "items" => each.is_a?(String) ? { "type" => each } : each } }
    private_constant :LIST
    # What is kept as JSON, with numbers of children within it.
    Field::AS_JSON = %i[json settings listening told keys spots].freeze
    # What a field may be, as JSON Schema.
    Field::KINDS = {
      number: { "type" => "integer", "minimum" => 1 }, ref: { "type" => "integer", "minimum" => 1 },
      integer: { "type" => "integer" }, yes_no: { "type" => "boolean" },
      text: { "type" => "string", "maxLength" => 2000 },
      date: { "type" => "string", "format" => "date", "pattern" => "^20[0-9]{2}-" },
      time: { "type" => "string", "format" => "date-time", "pattern" => "^20[0-9]{2}-" },
      key: { "type" => "string", "format" => "uuid" },
      words: { "type" => "array", "items" => { "type" => "string", "maxLength" => 200 } },
      numbers: { "type" => "array", "items" => { "type" => "integer" } },
      json: { "type" => "object" },
      # Choices of a class by their ids, and what it keeps beside them.
      settings: { "type" => "object", "additionalProperties" => { "type" => %w[string null], "maxLength" => 200 },
                  "properties" => { "apart" => LIST.call(LIST.call("integer")),
                                    "off" => LIST.call("string"), "shelf" => LIST.call("string"),
                                    "knows" => LIST.call("string") } },
      listening: { "type" => "array", "items" => { "type" => "object", "required" => %w[child reason],
                                                   "properties" => { "child" => { "type" => %w[integer null] },
                                                                     "reason" => { "type" => "string" } } } },
      told: { "type" => "object", "additionalProperties" => { "type" => %w[string null] } },
      keys: LIST.call("string"), spots: LIST.call(LIST.call("integer")),
      groups: LIST.call(LIST.call("integer")),
      file: { "type" => "string", "pattern" => "^photos/[0-9]{6}[.]jpg$" }
    }.freeze
  end
end
