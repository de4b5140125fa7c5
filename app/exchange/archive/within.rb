# frozen_string_literal: true

module Exchange
  module Archive
    # Numbers of children within what is kept as JSON: of those it is for, of groups, of a listening list, of pairs that
    # are kept apart.
    module Within
      # Where they are, by name; a list of them, or lists of such.
      LISTS = %w[for children apart].freeze
      ONE = "child"

      module_function

      # @param json [Object] names as strings
      # @param map [Hash{Symbol => Hash}] of which the children are exchanged; who is not there is left out
      # @return [Object] the same with other numbers
      def numbers(json, map) = swap(JSON.parse(json.to_json), map.fetch(:children))

      # @param groups [Array<Array<Integer>>] of children
      def groups(groups, map) = list(JSON.parse(groups.to_json), map.fetch(:children))

      def swap(json, map)
        case json
        when Hash then json.to_h do |name, value|
          [name, LISTS.include?(name) ? list(value, map) : one(name, value, map)]
        end
        when Array then json.map { |each| swap(each, map) }
        else json
        end
      end

      def one(name, value, map) = name == ONE && value.is_a?(Integer) ? map[value] : swap(value, map)

      def list(value, map)
        return swap(value, map) unless value.is_a?(Array)

        value.filter_map do |each|
          next swap(each, map) if each.is_a?(Hash)

          each.is_a?(Array) ? list(each, map) : map[each]
        end
      end
      private_class_method :swap, :one, :list
    end
  end
end
