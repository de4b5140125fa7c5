# frozen_string_literal: true

module Pages
  module Notes
    # A note for a child’s family, as it stands.
    class Page < Shared::Page
      view :"notes/note", tab: "climb"

      HEADINGS = { **::Sheets::NotePages::HEADINGS, caution: "Take care" }.freeze

      attr_reader :child

      def initialize(visitor, child)
        super(visitor)
        @child = child
      end

      def title = "A note for #{child.name}’s family"
      def source = @source ||= Records::FamilyNote::Source.new(child, evidence, today)
      def parts = @parts ||= Records::FamilyNote.parts_of(child, source)
      def picture = source.picture
      def chosen_child = child
      def here = way_to(child)
      def way_to(child) = "/notes/#{room.id}/#{child.id}"

      # @return [::Sheets::NotePages]
      def on_paper(size)
        title = "#{child.name}, #{long_date(today)}"
        note = ::Sheets::NotePages::Note.new(title: title, parts: parts, picture: picture)
        ::Sheets::NotePages.new(each: [note], where: room.named, title: title, paper: size)
      end
    end
  end
end
