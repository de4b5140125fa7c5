# frozen_string_literal: true

module Pages
  module Notes
    # A note for a child's family: drafted from the evidence, changed by the teacher, printed.
    class Routes < Shared::Tab
      needs :notes

      before("/:room/:child/?*") { @child = room.child(params[:child]) || halt(404) }

      get("/:room/:child") { show page }

      post "/:room/:child" do
        form = checked(NoteContract)
        Records::FamilyNote.store(@child, form.except(:print))
        return "Kept a moment ago." if htmx?

        redirect "#{page.here}/#{form[:print]}.pdf" if form[:print]

        visitor.note "Saved. It goes nowhere until you print it or hand it over."
        redirect page.here
      end

      # Draws it up again from the records; what was written is let go.
      post "/:room/:child/again" do
        Records::FamilyNote.forget(@child)
        redirect page.here
      end

      get "/:room/:child/:paper.pdf" do
        halt 404 unless ::Sheets::Paper::SIZES.key?(params[:paper])
        note_act("exported", room)
        as_file "note.pdf", "application/pdf", shown: true
        page.on_paper(params[:paper]).render
      end

      helpers do
        def page = @page ||= Page.new(visitor, @child)
      end
    end
  end
end
