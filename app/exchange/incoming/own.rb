# frozen_string_literal: true

module Exchange
  module Incoming
    # What a colleague wrote: parts, words for stories, questions. What is there already is not brought again.
    class Own < Kind
      # By kind what comes, in its words.
      def shows = { from: named, coming: written.group_by { |each| each.class.title }.transform_values { said(_1) } }

      # @param name [String] of the file
      def bring(name)
        things = brought("own", name) do |id|
          written.each { |each| Records::Own.store(room, each, brought: id) }
          DB[:own].where(brought_id: id).count
        end
        done("#{things == 1 ? '1 thing' : "#{things} things"} of a colleague’s brought in.")
      end

      private

      def said(things) = things.map(&:said)

      def written
        @written ||= @source.document["own"].reject { |row| row["removed_at"] }
                                            .map { |row| Rungs::Own.read(row["kind"], row["content"]) }
      end
    end
  end
end
