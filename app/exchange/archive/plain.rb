# frozen_string_literal: true

module Exchange
  module Archive
    # What is kept of one child, or what a teacher wrote, as JSON without photos.
    class Plain < Reader
      # @param path [String]
      # @raise [Refused]
      def initialize(path)
        super()
        refuse("That file is larger than a child's can be") if File.size(path) > MOST_JSON
        read = parsed(File.read(path, encoding: "bom|utf-8"), "That file")
        newer(read)
        @document = { **of_now(read), "photos" => [] }
        @holds = document["children"].empty? && document["own"].any? ? "own" : "children"
        check
      end

      private

      def opened = yield(->(_) { raise KeyError })
    end
  end
end
