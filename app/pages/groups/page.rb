# frozen_string_literal: true

module Pages
  module Groups
    # Groups as they stand: given by the form, or the best there are.
    class Page < Shared::Page
      view :"groups/groups", tab: "climb", title: "Groups"

      # Children heard enough, before a split says anything.
      ENOUGH = 2

      # @param asked [Hash] as GroupsContract lets it through
      def initialize(visitor, **asked)
        super(visitor, least: 3, most: 5, **asked)
        @focus = [asked[:operation] || focus[0], asked[:band] || focus[1]]
      end

      def operation = focus[0]
      def band = focus[1]
      def where = URI.encode_www_form(operation: operation, band: band, **asked.slice(:least, :most))
      def apart = room.apart
      def estimate(child) = evidence.estimate(child, operation, band, on: today)
      def by_id = @by_id ||= room.children.to_h { |child| [child.id, child] }

      # Why there is no split, in words; nil where there is one.
      def trouble = (split unless asked[:groups]) && @trouble

      # @return [Array<Array<Records::Child>>]
      def split = @split ||= asked[:groups] ? as_given : best

      # A child moved to a group, or to a new one.
      def move(child, place)
        @split = split.map { |group| group - [child] }
        place < @split.size ? @split[place] += [child] : @split << [child]
        @split.reject!(&:empty?)
        self
      end

      # Each group with what is to be done there.
      def groups = split.zip(Rungs::Progress::Groups.with_aims(members, operation: operation, band: band, year: year))
      def year = room.setting("year")
      def written = split.map { |group| group.map(&:id).join(".") }.join("_")
      def broken = apart.select { |pair| split.any? { |group| (pair - group.map(&:id)).empty? } }

      # The address of numbers for some children.
      def numbers_for(children)
        wanted = [["operation", operation], *children.map { |child| ["children[]", child.id] }]
        "/numbers/#{room.id}?#{URI.encode_www_form(wanted)}"
      end

      private

      def member(child) = Rungs::Progress::Groups::Member.new(child: child.id, rung: estimate(child).working)
      def members = split.map { |group| group.map { |child| member(child) } }
      def sizes = asked[:least]..[asked[:most], asked[:least]].max

      def best
        return [] if room.children.empty?

        if room.children.count { |child| estimate(child).working } < ENOUGH
          @trouble = "groups can be made once two children have been heard enough with these numbers"
          return []
        end

        found = Rungs::Progress::Groups.best(room.children.map { |child| member(child) }, sizes: sizes, apart: apart)
        found.map { |group| group.map { |each| by_id.fetch(each.child) } }
      rescue Rungs::Error => e
        @trouble = e.message
        []
      end

      # As they stand on the page; whoever is in none joins the last.
      def as_given
        given = asked[:groups].to_s.split("_").map { |group| group.split(".").filter_map { |id| by_id[id.to_i] } }
        given = given.reject(&:empty?)
        rest = room.children - given.flatten
        rest.empty? ? given : [*given[0..-2], (given.last || []) + rest]
      end
    end
  end
end
