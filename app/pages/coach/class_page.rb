# frozen_string_literal: true

module Pages
  module Coach
    # One class in detail: its weeks, who moved, and its visits.
    class ClassPage < Shared::Page
      include Looked

      view :"coach/class", tab: "coach"

      def title = "Visits to #{room.name}"
      def here = "/coach/#{room.id}"
      def rooms = [room]

      # Those of this coach; a teacher sees all.
      def visits
        own = may?(:visit) ? { account_id: person.id } : {}
        room.visits_dataset.where(own).latest_first.eager(:account).all
      end

      def coaches = Records::Membership.of(room).select { |each| each.may?(:visit) }.map(&:account)

      # Whose a visit is, and where it is or what came of it.
      def about(visit)
        [visit.account.name, ("going on" if visit.going_on?), visit.next_step].compact.reject(&:empty?).join(", ")
      end

      # Whom to hear, as a list of the class has it.
      def proposed = listening.on(today).first(4).map { |turn| turn.child.id }
    end
  end
end
