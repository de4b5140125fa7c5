# frozen_string_literal: true

require "forwardable"

module Pages
  module Shared
    # What a page knows: one object that its view asks, and nothing else. The route finds, asks, and renders or refuses;
    # the page answers; the view draws.
    #
    #   class Page < Shared::Page
    #     view :"hear/hear", tab: "climb", title: "Whom to hear"
    #     def days = …
    class Page
      include Helpers
      include ClassMargin
      extend Forwardable

      # What all pages of a kind have: their view, tab, title, and the scripts they need beside the usual ones.
      # inert: whether nothing in it is htmx's to look for, and it comes without.
      Kind = Struct.new(:view, :tab, :title, :scripts, :inert, keyword_init: true)

      class << self
        def view(name, **more) = @kind = Kind.new(view: name, scripts: [], **more).freeze
        def kind = @kind || superclass.kind
      end

      def_delegators :"self.class.kind", :view, :tab, :title, :scripts, :inert
      # Who looks, at which class, when; what the browser sent.
      def_delegators :@visit, :room, :evidence, :today, :person, :substitute?, :role, :may?, :env, :request,
                     :params, :htmx?,
                     :lesson_today, :coming_day, :coming_lesson, :next_school_day, :home, :substitute_address,
                     :board_address, :host_for_others, :reachable?

      # @return [Hash{Symbol => Object}] what was chosen, as a contract let it through
      attr_reader :asked

      # @param visit [Shared::Base] the request that is answered
      def initialize(visit, **asked)
        @visit = visit
        @asked = asked
      end

      # The class list beside it, each name the way to that child; nil for none.
      def margin
        return if htmx?

        class_margin(chosen: chosen_child, next_up: next_up) { |child| way_to(child) if may?(:ladders) }
      end

      def chosen_child = nil
      def next_up = []
      def way_to(child) = page_of(child)

      # A child's page; for who may not see it, where that child is heard.
      def page_of(child)
        may?(:ladders) ? "/climb/#{room.id}/children/#{child.id}" : "/listen/#{room.id}?child=#{child.id}"
      end

      # By what it is explained.
      def how = tab

      # Whether what it is for is left unsaid to a newcomer.
      def hushed? = false

      def drawn = partial(view)
    end
  end
end
