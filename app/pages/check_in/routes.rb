# frozen_string_literal: true

module Pages
  module CheckIn
    # Five minutes with one child: each problem chosen to tell most, until it is clear.
    class Routes < Shared::Tab
      needs :conduct

      OPERATIONS = ["both", *Rungs::Problem::OPERATIONS].freeze

      before("/:room/:child/?*") { @child = room.child(params[:child]) || halt(404) }

      get("/:room/:child") { show Page.new(visitor, @child) }

      post "/:room/:child/start" do
        form = checked(StartContract)
        Records::CheckIn.open(@child, operation: form[:operation], band: form[:band])
        redirect here
      end

      # Each answer is a record like any other; then the next problem is chosen.
      post "/:room/:child/answers" do
        form = checked(AnswerContract)
        posed = @child.classroom.problem(form[:problem_id]) || halt(404)
        open = Records::CheckIn.first(id: posed.check_in_id, child_id: @child.id) || halt(404)
        said = form.slice(:code, :client_key, :answer).compact
        Records::Recorder.new(room, person).record(child: @child, problem: posed, happened_at: Time.now, **said)
        open.go_on if open.current.nil? && open.ended_at.nil?
        redirect here
      end

      post "/:room/:child/stop" do
        latest&.update(ended_at: Time.now)
        redirect here
      end

      helpers do
        def here = "/check-in/#{room.id}/#{@child.id}"
        def latest = Records::CheckIn.latest(@child)
      end
    end
  end
end
