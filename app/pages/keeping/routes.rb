# frozen_string_literal: true

module Pages
  module Keeping
    # Records: taken out as files, brought in after a look, kept until the class ends.
    class Routes < Shared::Tab
      helpers Shared::MadeBeside

      # As what each file of answers is sent.
      FILES = { "answers.csv" => ["text/csv; charset=utf-8", :csv],
                "answers.jsonl" => ["application/jsonl; charset=utf-8", :lines],
                "statements.json" => ["application/json", :statements] }.freeze

      get("/:room") { show Page.new(self) }

      FILES.each do |name, (type, as)|
        get "/:room/#{name}" do
          note_act("taken_out", room)
          as_file name, type
          Exchange::Answers.new(room).public_send(as)
        end
      end

      # The whole class, written beside the server.
      post "/:room/class" do
        note_act("taken_out", room)
        made_beside "class_file", at: here
      end

      get("/:room/jobs/:job") { job_page JobPage.new(self, job: found_job) }

      # All that is kept of one child, for who has a right to ask.
      get "/:room/child" do
        form = checked(ChildContract)
        child = room.anybody(form[:child]) || halt(404)
        note_act("child_out", room)
        form[:as] == "pdf" ? child_page(child) : child_file(child)
      end

      # For the next teacher: a page for the class and one a child.
      get "/:room/next.pdf" do
        note_act("taken_out", room)
        as_file "next.pdf", "application/pdf", shown: true
        Printing::ForNextTeacher.new(room, today: today).sheet(room.setting("paper")).render
      end

      # Something to bring in: looked at first.
      post "/:room/in" do
        sent = params[:file].is_a?(Hash) ? params[:file] : refuse("Choose a file first")
        redirect "#{here}/in/#{Records::Upload.keep(room, person, sent).id}"
      end

      get "/:room/in/:upload" do
        show PreviewPage.new(self, upload, columns: columns)
      end

      post "/:room/in/:upload" do
        page = PreviewPage.new(self, upload, columns: columns)
        upload.zip? ? bring_class(page) : bring_answers(page)
      end

      # What was brought in goes again, whole.
      post "/:room/brought/:brought/away" do
        there = Records::Brought.where(classroom_id: room.id).to_take_back.first(id: params[:brought].to_i) || halt(404)
        note_act("taken_back", room)
        if there.kind == "class"
          room.erase
          redirect "/"
        else
          Exchange::BringAnswers.take_back(room, there.id)
          redirect here
        end
      end

      # The class ends on another day.
      post "/:room/end" do
        day = checked(EndContract)[:ends_on]
        room.ends_at(day, today) || refuse("A class ends on a day to come, within two years")
        note_act("ends", room)
        redirect here
      end

      helpers do
        def here = "/records/#{room.id}"

        # Of this person and class, as long as it is kept.
        def upload
          @upload ||= Records::Upload.first(id: params[:upload].to_i, account_id: person.id, classroom_id: room.id) ||
                      refuse("That file is not kept any more; choose it again")
        end

        # @return [Hash{String => String}, nil] what is read from which heading, as it was chosen
        def columns
          checked(InContract)
          params[:columns].is_a?(Hash) ? params[:columns].select { |_, from| from.is_a?(String) && from != "" } : nil
        end

        def bring_class(page)
          made = upload.open_file do |path|
            archive = Exchange::Archive.read(path)
            refuse("That class is there already; reading it again adds nothing") if page.there(archive)
            archive.bring(person)
          end
          Records::Brought.note(made, person, "class", upload.name)
          Records::Audit.note("brought", account_id: person.id, classroom: made)
          upload.delete
          env["rack.session"]["note"] = "#{made.name} is brought in. For thirty days it can be taken back."
          redirect "/records/#{made.id}"
        end

        def bring_answers(page)
          adding = checked(InContract)[:adding]
          many = page.table do |table|
            refuse("Say which column is #{table.missing.join(', ')}") if table.missing.any?
            Exchange::BringAnswers.new(room, table, adding: adding).call(person, name: upload.name)
          end
          note_act("brought", room)
          upload.delete
          env["rack.session"]["note"] = "#{plural(many, 'answer')} brought in. For thirty days they can be taken back."
          redirect here
        end

        def child_file(child)
          as_file "child.json", "application/json"
          "#{JSON.pretty_generate(Exchange::Archive.of_child(child))}\n"
        end

        def child_page(child)
          as_file "child.pdf", "application/pdf", shown: true
          Printing::OfChild.new(room, child, today: today).sheet(room.setting("paper")).render
        end

        def sent(job)
          as_file "class.zip", "application/zip"
          job.made
        end
      end
    end
  end
end
