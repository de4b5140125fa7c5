# frozen_string_literal: true

require "forwardable"

module Pages
  module Shared
    # What a page knows: one object that its view asks, and nothing else. The route finds and refuses; the page answers;
    # the view draws.
    #
    #   class Gallery < Shared::Page
    #     view :"gallery/gallery"
    #     title "Pictures"
    #     def kinds = …
    class Page
      include Helpers
      extend Forwardable

      class << self
        def view(name = @view) = @view = name
        def title(words = @title) = @title = words
        def tab(name = @tab) = @tab = name
        def scripts(*names) = names.empty? ? @scripts.to_a : @scripts = names
      end

      def_delegators :"self.class", :view, :title, :tab, :scripts
      # Who looks, at which class, when; what the browser sent; and what every page has around it.
      def_delegators :@visit, :room, :evidence, :today, :person, :substitute?, :env, :request, :listening, :ladder,
                     :focus, :lesson_today, :coming_day, :coming_lesson, :class_margin, :first_time?, :home

      # @param visit [Shared::Base] the request that is answered
      def initialize(visit)
        @visit = visit
      end

      # The class list beside it; nil for none. Whether what it is for is not explained to a newcomer.
      def margin = nil
      def hushed? = false
      def drawn = partial(view)
    end
  end
end
