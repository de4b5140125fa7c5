# frozen_string_literal: true

module Exchange
  module Incoming
    # Children that another teacher handed over, or one child's own file: each is matched with a child of the class by
    # name, and each doubtful one is asked about.
    class Children < Kind
      # One that the file is about. answers: how many. likely: Array<Records::Child>, whose name is nearly the same;
      # same: the one of that name. whose: an id, "new", or nil where that is still to be said.
      Match = Struct.new(:number, :name, :answers, :same, :likely, :whose, keyword_init: true)

      NEW = Archive::BringingChildren::NEW
      OUT = "out"

      def shows
        { from: named, photos: document["photos"].size, estimates: document["came_with"].any?,
          matches: matches.map { |match| shown(match) }, own: own.map { |each| child(each) } }
      end

      # @return [Array<Match>]
      def matches
        answers = document["observations"].group_by { |row| row["child_id"] }.transform_values(&:size)
        @matches ||= document["children"].map do |row|
          match = Match.new(number: row["number"], name: row["name"], answers: answers.fetch(row["number"], 0),
                            same: own.find { |child| child.name == row["name"] }, likely: likely(row["name"]))
          match.tap { match.whose = chosen(match) }
        end
      end

      def doubtful = matches.select { |match| match.whose.nil? }
      def own = @own ||= room.children

      # @param name [String] of the file
      def bring(name)
        refuse("Say who #{doubtful.map(&:name).join(' and ')} is") if doubtful.any?
        whose = matches.to_h { |match| [match.number, match.whose] }.reject { |_, child| child == OUT }
        many = @source.within { |photo| write(whose, name, photo) }
        done("#{whose.size} #{whose.size == 1 ? 'child' : 'children'} and #{many} answers brought in.")
      end

      private

      def document = @source.document
      def child(row) = row && { id: row.id, name: row.name }

      def shown(match)
        { **match.to_h, same: child(match.same), likely: match.likely.map { |each| child(each) } }
      end

      def write(whose, name, photo)
        brought("children", name) { |id| Archive::BringingChildren.new(document, room, whose, &photo).call(id) }
      end

      def chosen(match)
        said = @form.dig("whose", match.number.to_s)
        return said if [NEW, OUT].include?(said)
        return own.find { |child| child.id == said.to_i }&.id if said.to_s != ""

        match.same ? match.same.id : (NEW if match.likely.empty?)
      end

      # Names that begin alike or are one letter off, whatever their capitals and accents.
      def likely(name)
        own.select { |child| child.name != name && Names.near?(child.name, name) }
      end
    end
  end
end
