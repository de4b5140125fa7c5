# frozen_string_literal: true

module Pages
  module Share
    # The ways of a problem to share: those heard, those proposed, and what is on the board of them.
    class Page < Shared::Page
      view :"share/share", tab: "listen", title: "Share ways"

      attr_reader :posed, :trouble

      # @param shown [Hash, nil] what was just drawn, as it was asked for
      # @param trouble [String, nil] why it could not be drawn
      # @param pieces [Array<String>] what was typed into the two pieces
      def initialize(visitor, posed, shown: nil, trouble: nil, pieces: [])
        super(visitor)
        @posed = posed
        @shown = shown
        @trouble = trouble
        @pieces = pieces
      end

      # A name picks who is listened to, as on every page of a lesson.
      def way_to(child) = "/listen/#{room.id}?problem=#{posed.id}&child=#{child.id}"
      def problem = posed.problem
      def proposed = @proposed ||= posed.sharing

      # Whether that is on the board now: a record, or a move, or a number broken in two.
      def shown?(**which) = !@shown.nil? && which.all? { |name, value| @shown[name] == value }
      def shown_one?(name) = !@shown.nil? && !@shown[name].nil?

      # What was typed into the two pieces, also where it could not be drawn.
      def pieces = (@shown && @shown[:pieces]) || @pieces

      # What was heard of this problem and can be drawn: a rung, by its own move or the usual one.
      def rows = @rows ||= posed.rungs_heard

      # Each way of a child once, the last time it was heard.
      # @return [Hash{Records::Child => Array<Array(Records::Observation, Rungs::Strategy::Path)>}]
      def rows_by_child
        told = rows.reverse.filter_map { |row| (path = path_of_row(row)) && [row, path] }
        once = told.uniq { |row, path| [row.child_id, path.move.id] }
        once.group_by { |row, _| row.child }.sort_by { |child, _| child.name }
      end

      def path_of_row(row) = Rungs::Strategy::Path.heard(problem, row.rung, row.move)

      # All moves of this problem, the proposed first, from the least to the most abstract.
      def ways
        by_move = proposed.to_h { |each| [each.path.move.id, each] }
        in_order = problem.paths.sort_by { |path| [by_move.key?(path.move.id) ? 0 : 1, path.rung] }
        told = in_order.map do |path|
          [path, by_move[path.move.id], Rungs::Picture::Staging.stages(path, problem, **fingers)]
        end
        told.reject { |_, _, stages| stages.empty? }
      end

      def fingers = room.pictured.slice(:fingers)

      # Numbers of the problem that a child may break in two.
      def breakable = Rungs::Strategy::Split.breakable(problem)
    end
  end
end
