# frozen_string_literal: true

module Pages
  module FromHome
    # Enters what families wrote back of a page for home, in two taps; it is shown, and weighs nothing.
    class Routes < Shared::Tab
      needs :notes

      get("/:room") { show Page.new(visitor) }

      post "/:room" do
        form = checked(AnswerContract)
        child = room.child(form[:child]) || halt(404)
        made = room.add_home_answer(child_id: child.id, account_id: person.id, day: today, code: form[:code])
        visitor.note("#{child.name}: #{made.summary}, at home.", undo: "/from-home/#{room.id}/#{made.id}/away")
        redirect "/from-home/#{room.id}"
      end

      post "/:room/:answer/away" do
        answer = room.home_answers_dataset.first(id: params[:answer].to_i) || halt(404)
        answer.delete
        redirect "/from-home/#{room.id}"
      end
    end
  end
end
