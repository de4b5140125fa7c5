# frozen_string_literal: true

module Pages
  module Own
    # A part of one's own, as it is written.
    class PartPage < Shared::Page
      view :"own/part", tab: "plan"

      attr_reader :own, :part, :trouble

      # @param own [Records::Own, nil] one of the shelf
      # @param part [Records::LessonPart, nil] one of a lesson
      # @param typed [Hash{String => Object}, nil] what was typed, and why it was not taken
      def initialize(visitor, own: nil, part: nil, typed: nil, trouble: nil, **asked)
        super(visitor, **asked)
        @own = own
        @part = part
        @typed = typed
        @trouble = trouble
      end

      def title = own || part ? value("title") : "A part of your own"

      # @return [String] a field as it was typed, or as it is kept
      def value(field)
        from = @typed || (own ? own.content : part&.details&.own)
        there = from ? from.to_h[field] : { "minutes" => 10, "picture" => "none" }[field]
        there.is_a?(Array) ? there.join("\n") : there.to_s.gsub("\r\n", "\n")
      end

      def action
        return "/own/#{room.id}/lesson/#{part.id}" if part

        "/own/#{room.id}/parts#{"/#{own.id}" if own}#{"?day=#{asked[:day]}" if asked[:day]}"
      end

      # @return [Array<Array(String, String)>] pictures with their titles
      def pictures = Rungs::Activity::OWN.options.first.then { |all| all.choices.map { |id| [id, all.say(id)] } }
    end
  end
end
