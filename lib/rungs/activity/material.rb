# frozen_string_literal: true

module Rungs
  module Activity
    # A thing that is needed: how many per "child", "pair", "group" or "class", and what to use instead.
    Material = Struct.new(:thing, :per, :count, :instead, keyword_init: true) do # rubocop:disable Lint/StructNewOverride
      def to_s = "#{count} #{thing} for each #{per}".sub("for each class", "for the class")
    end
  end
end
