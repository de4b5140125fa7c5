# frozen_string_literal: true

module Exchange
  module Archive
    # The schema of class.json, as it is published in docs/schema.
    module Schema
      DRAFT = "https://json-schema.org/draft/2020-12/schema"

      module_function

      # @return [Hash]
      def to_h
        about = Lists::CLASS.to_h { |field| [field.name.to_s, field.schema] }
        head = { "format" => { "description" => "what this is", "const" => FORMAT },
                 "version" => { "description" => "of this schema", "const" => VERSION },
                 "class" => object("the class itself", about) }
        { "$schema" => DRAFT, "$id" => "/schema/class.json", "title" => "A class of Rungs, or one child of it",
          **object("All that is kept of a class, or of one child. Each list counts its rows from 1, and others point " \
                   "to these numbers.", { **head, **Lists::ALL.to_h { |list| [list.name.to_s, list.schema] } }) }
      end

      # @param document [Hash]
      # @return [String, nil] where it is off and how, in a sentence; nil where it is as it should be
      def fault(document)
        require "json_schemer"
        schema = @schemer ||= JSONSchemer.schema(to_h.except("$id"))
        return if schema.valid?(document)

        found = schema.validate(document).first
        where = found["data_pointer"].delete_prefix("/")
        "#{where.empty? ? 'the whole' : where} is not as the schema has it"
      end

      def object(note, properties)
        { "description" => note, "type" => "object", "properties" => properties, "required" => properties.keys,
          "additionalProperties" => false }
      end
    end
  end
end
