# frozen_string_literal: true

module Pages
  module Coach
    # The classes that invited a coach, each by itself, in the order of their names.
    class Page < Shared::Page
      include Looked

      view :"coach/coach", title: "Classes I coach"

      def margin = nil
      def here = "/coach/"

      # In whose words operations and ranges are called.
      def room = rooms.first
      def rooms = @rooms ||= person.coached.sort_by { |room| [room.name, room.school] }

      def last_visit(room) = room.visits_dataset.where(account_id: person.id).latest_first.first

      def today?(visit) = visit.day == visit.classroom.today && visit.ended_at.nil?

      # "23 answers heard by both, 19 alike"
      def heard_in(visit)
        pairs = visit.both.map(&:pair)
        "#{plural(pairs.size, 'answer')} heard by both, #{pairs.count(&:alike?)} alike."
      end

      def teachers(room)
        Records::Membership.of(room).select { |each| each.may?(:teach) }.map { |each| each.account.name }
      end
    end
  end
end
