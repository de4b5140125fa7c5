# frozen_string_literal: true

module Exchange
  module Archive
    # One list of what a class is made of, by the name of its table: the fields of a row, and which rows are about a
    # child.
    #
    #   numbered: whether its rows have numbers that others point to. within: the list its rows hang on, where they have
    #   no class of their own. order: columns beside the id. of_child: Array<Integer>, ids of children → a filter of the
    #   rows about them.
    List = Struct.new(:name, :note, :numbered, :within, :order, :fields, :of_child, keyword_init: true) do
      def columns = fields.map(&:name) - [:file]

      # @return [Hash] JSON Schema of the list
      def schema
        own = fields.to_h { |field| [field.name.to_s, field.schema] }
        own = { "number" => { "description" => "from 1, in this list", **Field::KINDS[:number] }, **own } if numbered
        row = { "type" => "object", "properties" => own, "required" => own.keys, "additionalProperties" => false }
        { "description" => note, "type" => "array", "maxItems" => MOST_THINGS * 10, "items" => row }
      end
    end
  end
end
