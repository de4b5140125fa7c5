# frozen_string_literal: true

module Pages
  module Own
    # What the teachers of a class wrote themselves: parts, words for stories, questions.
    class Page < Shared::Page
      view :"own/own", tab: "plan", title: "Your own"

      attr_reader :trouble, :typed, :look

      # @param typed [Hash{String => String}] a word or a question that is not kept yet
      # @param look [Rungs::Own::Thing, nil] or a place or person: to be looked at
      def initialize(visitor, trouble: nil, typed: {}, look: nil, **asked)
        super(visitor, **asked)
        @trouble = trouble
        @typed = typed
        @look = look
      end

      def new_part = "/own/#{room.id}/parts#{"?day=#{asked[:day]}" if asked[:day]}"
      def parts = @parts ||= Records::Own.of(room, "part")
      def words(kind) = Records::Own.of(room, kind)
      def as_typed(kind, field) = (typed[field] if asked[:kind] == kind)
      def kind_of(own) = Rungs::Activity::OWN.with({ "picture" => own.written.picture }, own: own.written)

      # The picture it stands with: of its first sentence, where it has one.
      def picture_of(own) = face(kind_of(own).face)

      # @return [Array<Array(String, String)>] each slip by its key, with where it comes
      def slips
        tables = { "whole" => "adding", "part" => "taking away", "missing" => "a missing part",
                   "two_sided" => "both sides", "teens" => "ten and some" }
        Rungs::Slip::ALL.map { |slip| [slip.key, "#{slip.title} (#{tables.fetch(slip.table)})"] }
      end

      # Three stories with what is looked at, as they would come.
      # @return [Array<String>]
      def stories
        of = { "thing" => :things, "place" => :places, "person" => :people }.fetch(look.class.id)
        mine = look.class.id == "person" ? [look.name] : [look]
        book = Rungs::Own::Book.new(of => mine, share: "alone")
        most = look.respond_to?(:most) ? look.most : 10
        band = most < 10 ? "to5" : "to10"
        %w[add_to.result take_from.result together.total].map.with_index do |situation, at|
          problem = Rungs::Problem::Pool.new(situation: situation, band: band).draw(1, random: Random.new(at + 1)).first
          Rungs::Problem::Story.write(problem, random: Random.new(at), book: book).text
        end
      end
    end
  end
end
