# frozen_string_literal: true

module Pages
  module Account
    # A page for whoever is not signed in, or about to sign in otherwise: what stands in it was drawn already.
    class OpenPage < Shared::Page
      view nil

      def title = asked[:title]
      def drawn = asked.fetch(:drawn)
      def margin = nil
      def room = nil
    end
  end
end
