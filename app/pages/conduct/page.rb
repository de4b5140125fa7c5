# frozen_string_literal: true

require "digest"

module Pages
  module Conduct
    # An activity on the tablet beside the class: what to say, what is on the board, what to listen for.
    class Page < Listen::Page
      view :"conduct/conduct", tab: "plan"

      attr_reader :part, :trouble

      # @param part [Records::LessonPart]
      # @param trouble [String, nil] why something was not taken
      def initialize(visit, part, trouble: nil)
        @part = part
        @trouble = trouble
        on_board = part.lesson.part_on_board&.id == part.id
        @state = Records::ItemOnBoard.new(on_board ? part.lesson.board : Records::BoardState.new, part.items)
        super(visit, part.items.posed_or_told(@state.index))
      end

      # @return [Records::ItemOnBoard]
      attr_reader :state

      def tab = substitute? ? "substitute" : super
      def title = part.title
      def here = "/conduct/#{room.id}"
      def lesson = part.lesson
      def ways = part.items.ways(state.index)
      def scripts = [("listen" if posed), "conduct", ("groups" if state.grouped)].compact

      def margin = posed ? super : class_margin { |child| way_to(child) }

      # Another where the lesson's parts or their items are others.
      def kept_as
        made = lesson.course.parts.map { |each| [each.id, each.kind, each.details] }
        Digest::SHA256.hexdigest(made.to_json)[0, 12]
      end

      # The primary button: what comes next.
      def on_title(state, there)
        return Rungs.capital(step_title(state.item.steps[there[1]])) if there[0] == state.index

        there[0] < state.set.size ? "The next one" : "Read them all"
      end

      # "2 of 6"
      def place_among(state, items)
        state.index < items.size ? "#{state.index + 1} of #{items.size}" : "all #{items.size}"
      end

      def slips_here = posed ? Rungs::Slip.possible(posed.problem, part.activity.slips) : []
    end
  end
end
