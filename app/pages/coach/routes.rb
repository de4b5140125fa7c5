# frozen_string_literal: true

module Pages
  module Coach
    # A coach's classes side by side, one in detail, and visits: before, during and after.
    class Routes < Shared::Tab
      needs :coach

      get("/") { show Page.new(visitor, **checked(LookContract)) }
      get("/:room") { show ClassPage.new(visitor, **checked(LookContract)) }

      post "/:room/visits" do
        form = checked(VisitContract)
        coach = may?(:visit) ? person.id : coach_of(form[:with])
        made = room.add_visit(account_id: coach, **form.slice(:day, :aim, :question),
                              children: Sequel.pg_jsonb(form[:children].to_a & room.children.map(&:id)))
        redirect "#{here}/visits/#{made.id}"
      end

      get("/:room/visits/:visit") { show VisitPage.new(visitor, found) }

      # The coach begins to listen; either ends it.
      post "/:room/visits/:visit/begin" do
        only_its_coach
        found.begin_now unless found.begun_at
        last = room.current_problem || room.last_problem
        redirect last ? "/listen/#{room.id}?problem=#{last.id}" : here_of(found)
      end

      post "/:room/visits/:visit/end" do
        found.end_now
        redirect here_of(found)
      end

      # The one next step; said anew it has to be agreed to anew.
      post "/:room/visits/:visit/next" do
        found.update(next_step: checked(NextContract)[:next_step], agreed: Sequel.pg_jsonb([person.id]))
        redirect here_of(found)
      end

      post "/:room/visits/:visit/agree" do
        found.agree(person.id)
        redirect here_of(found)
      end

      helpers do
        def here = "/coach/#{room.id}"
        def here_of(visit) = "#{here}/visits/#{visit.id}"

        # Of this class; a coach has their own, a teacher all.
        def found
          own = may?(:visit) ? { account_id: person.id } : {}
          @found ||= room.visits_dataset.first(id: params[:visit][/\A\d{1,17}\z/], **own) || halt(404)
        end

        def only_its_coach = found.account_id == person.id || refuse("The coach begins a visit")

        def coach_of(id)
          there = Records::Membership.first(classroom_id: room.id, account_id: id.to_i, role: "coach")
          there&.account_id || refuse("Say which coach comes")
        end
      end
    end
  end
end
