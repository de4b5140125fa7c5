# frozen_string_literal: true

require "yaml"

module Rungs
  module Own
    # Stories with a teacher's own things, places and people, beside the usual ones (guide 18).
    #
    #   Book.new(things: [pebble], places: [], people: [], share: "half").template(problem, random: Random.new(1))
    class Book < Problem::Book
      STORIES = YAML.safe_load_file(File.join(__dir__, "stories.yml")).freeze
      # What is told of where only a place is a teacher's own.
      USUAL_THINGS = [%w[shell shells], %w[apple apples], %w[button buttons]]
                     .map { |one, many| Thing.new(one: one, many: many, most: 100, drawing: one).freeze }.freeze
      # How a template of one's own is called: its thing, its place, what it tells.
      ID = %r{\Aown/(?<one>[^/]+)/(?<where>[^/]*)/(?<tells>[^/]+)/1\z}

      # @param things [Array<Thing>]
      # @param places [Array<Place>]
      # @param people [Array<String>] names
      # @param share [String] of SHARES
      def initialize(things: [], places: [], people: [], share: "among")
        super()
        @things = things.empty? && places.any? ? USUAL_THINGS : things
        @plain = things.any?
        @places = places.map(&:where)
        @people = people.uniq
        @share = share
      end

      def [](id)
        found = ID.match(id.to_s) or return super
        thing = @things.find { |each| slug(each.one) == found[:one] } or return
        where = @places.find { |each| slug(each) == found[:where] }
        written(thing, where, found[:tells]) if where || found[:where].empty?
      end

      # A template of one's own where it is its turn and one holds these numbers, else a usual one.
      def template(problem, random:, except: [])
        own = turn?(@things.size + @places.size, Problem::Template::ALL.map(&:context).uniq.size, random)
        (own_template(problem, random, except) if own) || super
      end

      def names(random)
        mine = @people.shuffle(random: random)
        usual = super - mine
        usual = Problem::Story::NAMES.difference(mine).sample(2, random: random) if usual.size < 2
        both = Array.new(2) { |place| mine[place] if turn?(mine.size, Problem::Story::NAMES.size, random) }
        both.zip(usual).map { |own, other| own || other }
      end

      def people = @people | super

      private

      # Whether one's own come now: among the usual as often as there are of them.
      def turn?(own, usual, random)
        return false if own.zero?

        { "among" => own / (own + usual).to_f, "half" => 0.5, "alone" => 1.0 }.fetch(@share) > random.rand
      end

      def own_template(problem, random, except)
        tells = problem.situation&.id
        all = @things.shuffle(random: random).lazy.flat_map do |thing|
          everywhere.shuffle(random: random).filter_map { |where| written(thing, where, tells) }
        end
        well = all.select { |template| template.well?(problem) }
        well.find { |template| !except.include?(template.id) } || well.first
      end

      # A thing of one's own is told of without a place too.
      def everywhere = @plain ? [nil, *@places] : @places

      # @return [Template, nil] nil where nothing is told so
      def written(thing, where, tells)
        story = STORIES.fetch(where ? "places" : "people").find { |each| each["tells"] == tells } or return
        said = { "@one" => thing.one, "@many" => thing.many, "@where" => where.to_s }
        words = story["words"].gsub(/@(one|many|where)/) { |name| said.fetch(name) }
        Problem::Template.new("own/#{slug(thing.one)}/#{slug(where.to_s)}", 0,
                              { **story, "words" => words, "things" => [thing.drawing] * 3 },
                              { "most" => thing.most, "things" => { thing.one => thing.many } })
      end

      def slug(text) = text.tr("/", " ")
    end
  end
end
