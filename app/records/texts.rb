# frozen_string_literal: true

module Records
  # The texts within what is kept as JSON.
  module Texts
    module_function

    # @param json [Object] hashes and lists of texts and whatever else
    # @return [Array<String>]
    def of(json)
      case json
      when Hash then json.values.flat_map { |each| of(each) }
      when Array then json.flat_map { |each| of(each) }
      when String then [json]
      else []
      end
    end

    # @yield [String] each text → what stands in its place
    # @return [Object] the same with those
    def each(json, &block)
      case json
      when Hash then json.transform_values { |value| each(value, &block) }
      when Array then json.map { |value| each(value, &block) }
      when String then yield json
      else json
      end
    end
  end
end
