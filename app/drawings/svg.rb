# frozen_string_literal: true

require "cgi"

module Drawings
  # Elements of SVG as text. Numbers are rounded to hundredths, attribute names keep their hyphens
  # (stroke_width: 2), and all text is escaped.
  module Svg
    # Written once: a page of pictures has thousands of attributes.
    NAMES = Hash.new { |all, key| all[key] = " #{key.to_s.tr('_', '-')}=\"" }
    private_constant :NAMES

    module_function

    def tag(name, content = nil, **attributes)
      written = "<#{name}"
      attributes.each do |key, value|
        unless value.nil?
          written << NAMES[key] << (value.is_a?(Numeric) ? number(value).to_s : CGI.escapeHTML(value.to_s)) << '"'
        end
      end
      content ? written << ">" << content << "</#{name}>" : written << "/>"
    end

    # A whole picture with its text alternative; where the words beside it say the same, label nil hides it. One with
    # parts that can be pressed is a group.
    # @param left [Numeric] where the piece of it that is shown begins
    def picture(width, height, content, label:, css: nil, role: "img", left: 0)
      spoken = label ? { role: role, aria_label: label } : { aria_hidden: "true" }
      view = [left, 0, width, height].map { |each| number(each) }.join(" ")
      tag(:svg, content, xmlns: "http://www.w3.org/2000/svg", viewBox: view, class: css, focusable: "false", **spoken)
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
