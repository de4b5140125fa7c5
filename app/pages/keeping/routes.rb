# frozen_string_literal: true

module Pages
  module Keeping
    # Records: taken out as files, brought in after a look, handed over, kept until the class ends.
    class Routes < Shared::Tab
      needs :keep
      reads_beside %r{/(answers\.csv|answers\.jsonl|statements\.json|child|next\.pdf)\z}

      helpers Shared::MadeBeside, Coming

      # As what each file of answers is sent.
      FILES = { "answers.csv" => ["text/csv; charset=utf-8", :csv],
                "answers.jsonl" => ["application/jsonl; charset=utf-8", :lines],
                "statements.json" => ["application/json", :statements] }.freeze

      get("/:room") { show Page.new(visitor) }

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
        made_beside "class_file", at: here, holds: "class"
      end

      # Children, as a file for another teacher.
      post "/:room/handed" do
        form = checked(HandedContract)
        note_act("taken_out", room)
        made_beside "class_file", at: here, holds: "children", children: form[:children],
                                  records: form[:as] == "records", photos: form[:photos] == true
      end

      # Lessons and weeks, as a file for a colleague.
      post "/:room/plans" do
        made_beside "class_file", at: here, holds: "plans", **checked(PlansContract)
      end

      get("/:room/jobs/:job") { job_page JobPage.new(visitor, job: found_job) }

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
        redirect "#{here}/in/#{Records::Upload.receive(room, person, sent).id}"
      end

      get("/:room/in/:upload") { made_beside "look", at: here, upload: upload.id, form: chosen }

      post("/:room/in/:upload") { made_beside "bring_in", at: here, upload: upload.id, form: chosen }

      # What was brought in goes again, whole.
      post "/:room/brought/:brought/away" do
        there = Records::Brought.where(classroom_id: room.id).to_take_back.first(id: params[:brought].to_i) || halt(404)
        note_act("taken_back", room)
        Exchange::TakeBack.new(there).call
        redirect there.kind == "class" ? "/" : here
      end

      # A child changes class: offered by a code.
      post "/:room/offers" do
        child = room.child(checked(OfferContract)[:child]) || halt(404)
        Records::ChildOffer.make(child, person)
        note_act("offered", room)
        redirect here
      end

      post "/:room/offers/:offer/away" do
        Records::ChildOffer.where(classroom_id: room.id, id: params[:offer].to_i).delete
        redirect here
      end

      # And taken in by the teacher to whom the code was told.
      get "/:room/come" do
        preview coming.class.view, JSON.parse(coming.shows.to_json, symbolize_names: true), "come?code=#{offer.code}"
      end

      post "/:room/come" do
        done = coming.bring(offer.classroom.name)
        note_act("brought", room)
        note_act("handed_over", offer.classroom)
        offer.child.update(left_on: today)
        offer.delete
        next_page(done.note, room.id)
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

        def child_file(child)
          as_file "child.json", "application/json"
          "#{JSON.pretty_generate(Exchange::Archive.of_child(child))}\n"
        end

        def child_page(child)
          as_file "child.pdf", "application/pdf", shown: true
          Printing::OfChild.new(room, child, today: today).sheet(room.setting("paper")).render
        end

        def sent(job)
          case job.kind
          when "look" then looked(job)
          when "bring_in" then brought(**result_of(job))
          else
            as_file "#{job.asked['holds']}.zip", "application/zip"
            streamed job
          end
        end

        # What a job says, by its names.
        def result_of(job) = JSON.parse(job.whole, symbolize_names: true)

        def brought(note:, room:)
          note_act("brought", self.room) if room == self.room.id
          next_page(note, room)
        end

        def next_page(note, id)
          visitor.note note
          redirect "/records/#{id}"
        end
      end
    end
  end
end
