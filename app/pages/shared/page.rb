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
      include Frame
      extend Forwardable

      # What all pages of a kind have: their view, tab, title, and the scripts they need beside the usual ones.
      # inert: whether nothing in it is htmx's to look for, and it comes without.
      Kind = Struct.new(:view, :tab, :title, :scripts, :inert, keyword_init: true)

      class << self
        def view(name, **more) = @kind = Kind.new(view: name, scripts: [], **more).freeze
        def kind = @kind || superclass.kind
      end

      def_delegators :"self.class.kind", :view, :tab, :title, :scripts, :inert
      def_delegators :visitor, :room, :person, :role, :may?, :substitute?, :home, :htmx?, :address
      def_delegators :class_day, :today, :evidence, :lesson_today, :coming_day, :next_school_day

      # @return [Visitor]
      attr_reader :visitor
      # @return [Hash{Symbol => Object}] what was chosen, as a contract let it through
      attr_reader :asked

      # @param today [Date, nil] nil: as it is in the class
      def self.new(visitor, *given, today: nil, **asked) = super(today ? visitor.on(today) : visitor, *given, **asked)

      # @param visitor [Visitor] who looks, at which class
      def initialize(visitor, **asked)
        @visitor = visitor
        @asked = asked
      end

      def class_day = visitor.class_day

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
