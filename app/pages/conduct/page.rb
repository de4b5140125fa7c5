# frozen_string_literal: true

require "digest"

module Pages
  module Conduct
    # An activity on the tablet beside the class: what to say, what is on the board, what to listen for.
    class Page < Listen::Page
      view :"conduct/conduct", tab: "listen", inert: true

      attr_reader :part, :trouble, :written

      # @param part [Records::LessonPart]
      # @param trouble [String, nil] why something was not taken
      # @param by [String, nil] the number of a child who gives the next way
      # @param written [String, nil] what was typed and not taken
      def initialize(visitor, part, trouble: nil, by: nil, written: nil)
        @part = part
        @trouble = trouble
        @by = by
        @written = written
        on_board = part.lesson.part_on_board&.id == part.id
        @state = Records::ItemOnBoard.new(on_board ? part.lesson.board : Records::BoardState.new, part.items)
        super(visitor, posed: part.items.posed_or_told(@state.index))
      end

      # @return [Records::ItemOnBoard]
      attr_reader :state

      def tab = substitute? ? "substitute" : super
      def how = substitute? ? super : "conduct"
      def title = part.title
      def here = "/conduct/#{room.id}"
      def lesson = part.lesson
      def ways = part.items.offered.on_item(state.index)
      def scripts = [("listen" if posed), "conduct", ("groups" if state.grouped)].compact

      # Where nothing is posed a name is who gives the next way: nobody leaves the lesson by a tap.
      def margin = posed ? super : class_margin(chosen: giver) { |child| "#{here}?by=#{child.id}" }
      def giver = room.children.find { |child| child.id.to_s == @by }

      # Another where the lesson's parts or their items are others.
      def kept_as
        made = lesson.course.parts.map { |each| [each.id, each.kind, each.details] }
        Digest::SHA256.hexdigest(made.to_json)[0, 12]
      end

      # Somebody who makes the slip that this part brings out, with the item's numbers: for the teacher to tell of.
      # @return [Array(String, String)] what is told, and the question to ask; nil where it cannot come here
      def invented(state)
        problem = state.item.problem if part.details.slip
        slip = problem && Rungs::Slip.for(problem).find { |each| each.id == part.details.slip }
        answer = slip && slip.answers(problem).compact.first or return
        name = (Rungs::Problem::Story::NAMES - room.children.map(&:name))[state.index % 5] || "Somebody"
        ["#{name} says that #{problem.expression} is #{answer}. What may #{name} have done?", room.asks(slip, problem)]
      end

      # The primary button: what comes next, by what it does.
      def on_title(state, there)
        return state.item.steps[there[1]].does if there[0] == state.index

        there[0] < state.set.size ? "The next one" : "Read them all"
      end

      # The steps on the way through an item; those of one title are one stretch, with where the board is in it.
      # @return [Array<Stretch>]
      def stretches(state)
        alike = state.item.steps.each_index.chunk_while { |one, other| title_at(state, one) == title_at(state, other) }
        alike.map do |all|
          Stretch.new(title: title_at(state, all.first), past: all.last < state.place, steps: all.size,
                      here: all.index(state.place)&.succ)
        end
      end

      # title; steps: how many; here: which of them is on the board, from 1, or nil; past: whether it is behind.
      Stretch = Struct.new(:title, :steps, :here, :past, keyword_init: true)

      def title_at(state, place) = state.item.steps[place].title

      # @return [Array<String>] for whom a set of a story's numbers is
      def names_of(posed)
        ids = part.details.sets.fetch(posed.number_set, [])
        room.children.select { |child| ids.include?(child.id) }.map(&:name)
      end

      # "2 of 6"
      def place_among(state, items)
        state.index < items.size ? "#{state.index + 1} of #{items.size}" : "all #{items.size}"
      end

      def slips_here = posed ? Rungs::Slip.possible(posed.problem, part.activity.slips) : []
    end
  end
end
