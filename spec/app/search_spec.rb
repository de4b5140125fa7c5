# frozen_string_literal: true

require "app_helper"

# Days as a teacher says them.
RSpec.describe Records::Search do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }

  describe "days" do
    def day(words) = Records::Search.new(room, words, room.today).day

    it "means the last such weekday, and the nearest date that is not far ahead" do
      today = room.today
      expect(day(today.strftime("%A"))).to eq(today)
      expect(day((today + 1).strftime("%A"))).to eq(today - 6)
      edge = today + Records::Search::MOST
      expect(day(edge.strftime("%-d %B"))).to eq(edge)
      expect(day((edge + 1).strftime("%-d %B"))).to eq((edge + 1).prev_year)
      expect(day("29 February #{today.year + 1}")).to be_nil unless Date.leap?(today.year + 1)
      expect(day("kite")).to be_nil
    end
  end
end
