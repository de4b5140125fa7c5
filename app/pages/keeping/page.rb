# frozen_string_literal: true

module Pages
  module Keeping
    # All that is kept of a class: taken out, brought in, how long it stays, and who looked.
    class Page < Shared::Page
      view :"keeping/keeping", tab: "records", title: "Records"

      # Rows of the log that stand here; the rest is a page of its own.
      LOOKED = 5

      def here = "/records/#{room.id}"

      # "1,284 answers of 22 children since 7 September"
      def amount
        first = evidence.first_heard
        return "Nothing was heard yet. All that will be is yours to take." unless first

        counts = evidence.counts.values
        many = counts.sum.to_s.gsub(/(?<=\d)(?=(\d{3})+\z)/, ",")
        "#{many} answers of #{plural(counts.size, 'child', 'children')} since " \
          "#{short_date(room.today(first))}. All of it is yours to take."
      end

      def offers = Records::ChildOffer.good.where(classroom_id: room.id).eager(:child).all
      def this_monday = Rungs::SchoolDays.monday(today)
      def everybody = room.children + room.off_the_list
      def to_take_back = Records::Brought.where(classroom_id: room.id).to_take_back.all
      def looked = Records::Audit.of_class(room, most: LOOKED)
      def ends_on = room.ends_on

      # @return [Time, nil] when the last copy was made that was tried and found complete
      def last_copy = Records::Copy.last_good&.made_at
      def over? = room.over?(today)
    end
  end
end
