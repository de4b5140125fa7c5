# frozen_string_literal: true

module Pages
  module Notes
    # A note for a child's family: drafted from the evidence, changed by the teacher, printed.
    class Routes < Shared::Tab
      helpers Shared::ClassMargin

      before("/:room/:child/?*") do
        @child = room.child(params[:child]) || halt(404)
        @tab, @title = "climb", "A note for #{@child.name}’s family"
        @source = Records::FamilyNote::Source.new(@child, evidence, today)
      end

      get("/:room/:child") { page }

      post "/:room/:child" do
        form = checked(NoteContract)
        Records::FamilyNote.keep(@child, form.except(:print))
        return "Kept a moment ago." if htmx?

        redirect "/notes/#{room.id}/#{@child.id}/#{form[:print]}.pdf" if form[:print]

        env["rack.session"]["note"] = "Saved. It goes nowhere until you print it or hand it over."
        redirect "/notes/#{room.id}/#{@child.id}"
      end

      # Draws it up again from the records; what was written is let go.
      post "/:room/:child/again" do
        Records::FamilyNote.forget(@child)
        redirect "/notes/#{room.id}/#{@child.id}"
      end

      get "/:room/:child/:paper.pdf" do
        halt 404 unless ::Sheets::Paper::SIZES.key?(params[:paper])
        note_act("exported", room)
        headers "content-type" => "application/pdf", "content-disposition" => "inline; filename=note.pdf"
        title = "#{@child.name}, #{long_date(today)}"
        note = ::Sheets::FamilyNote::Note.new(title: title, parts: parts, picture: @source.picture)
        ::Sheets::FamilyNote.new(notes: [note], where: room.named, title: title, paper: params[:paper]).render
      end

      helpers do
        def parts = @parts ||= Records::FamilyNote.parts_of(@child, @source)

        def page
          @margin = class_margin(chosen: @child) { |child| "/notes/#{room.id}/#{child.id}" }
          erb :"notes/note"
        end
      end
    end
  end
end
