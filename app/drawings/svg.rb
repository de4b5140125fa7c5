# frozen_string_literal: true

require "cgi"

module Drawings
  # Elements of SVG as text. Numbers are rounded to hundredths, attribute names keep their hyphens
  # (stroke_width: 2), and all text is escaped.
  module Svg
    module_function

    def tag(name, content = nil, **attributes)
      written = attributes.compact.map { |key, value| %( #{key.to_s.tr('_', '-')}="#{CGI.escapeHTML(number(value).to_s)}") }.join
      content ? "<#{name}#{written}>#{content}</#{name}>" : "<#{name}#{written}/>"
    end

    # A whole picture with its text alternative; where the words beside it say the same, label nil hides it.
    def picture(width, height, content, label:, css: nil)
      spoken = label ? { role: "img", aria_label: label } : { aria_hidden: "true" }
      tag(:svg, content, xmlns: "http://www.w3.org/2000/svg", viewBox: "0 0 #{number(width)} #{number(height)}", class: css, focusable: "false", **spoken)
    end

    def text(content, **attributes) = tag(:text, CGI.escapeHTML(content.to_s), **attributes)

    def number(value)
      if value.is_a?(Float)
        value.round(2).then { |rounded| rounded == rounded.to_i ? rounded.to_i : rounded }
      else
        value
      end
    end
  end
end
