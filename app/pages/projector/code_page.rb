# frozen_string_literal: true

module Pages
  module Projector
    # Where the code of a board is typed. typed: what was typed and opens nothing, trouble: why.
    class CodePage < Shared::Page
      view :"projector/code", title: "Open a board"

      def mistyped = asked[:typed]
      def trouble = asked[:trouble]
      def margin = nil
    end
  end
end
