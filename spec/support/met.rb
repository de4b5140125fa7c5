# frozen_string_literal: true

# A page as a person meets it: words, what can be pressed or is chosen, and where it leads; not how it looks. Numbers of
# rows are taken out.
module Met
  # Of an element.
  TOLD = %w[aria-label aria-current aria-pressed aria-hidden alt checked selected disabled hidden value min max type
            placeholder href action name].freeze
  # In these stand numbers of rows.
  LEADING = %w[href action value].freeze
  UNSEEN = %w[script style meta].freeze

  module_function

  # @param node [Nokogiri::XML::Node]
  # @return [String, nil]
  def said(node)
    return node.text.gsub(/\s+/, " ").strip if node.text?
    return if UNSEEN.include?(node.name) || node["name"] == "authenticity_token" || node["role"] == "timer"

    [node.name, *TOLD.filter_map { |name| told(node, name) },
     *node.children.filter_map { |each| said(each) }.reject(&:empty?)].join(" ")
  end

  def told(node, name)
    value = node[name] or return
    "#{name}=#{LEADING.include?(name) ? unnumbered(value) : value}"
  end

  def unnumbered(text) = text.gsub(/\h{8}-\h{4}-[\h-]+|\h{32}|\d+/, "#")
end
