# frozen_string_literal: true

require "app_helper"

# Who sits where: filled, exchanged, refused.
RSpec.describe Records::Seating do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:ada) { room.children.first }

  describe "seats" do
    let(:seating) { described_class.new(room) }

    it "are filled for those without one alone, the first that are free" do
      seating.put(room.children[2], 0)
      seating.put(room.children[4], 7)
      seating.fill
      expect(seating.children.map { |child| [child.name, child.seat] }).to eq(
        [["Ada", 1], ["Bo", 2], ["Cleo", 0], ["Dag", 3], ["Eda", 7]]
      )
      expect([seating.unseated, seating.seated.keys.sort]).to eq([[], [0, 1, 2, 3, 7]])
    end

    it "are how the names stand where they were chosen on that device, while anybody has one" do
      posed = pose(room)
      seated = -> { get("/listen/#{room.id}?problem=#{posed.id}").body.include?("children-seated") }
      sign_in teacher[0]
      expect(seated.call).to be(false)
      seating.put(room.children[1], 3)
      expect(seated.call).to be(false)
      send_form "/listen/#{room.id}/order", problem: posed.id, order: "seats"
      expect(seated.call).to be(true)
      room.children.each { |child| child.update(seat: nil) }
      expect(seated.call).to be(false)
    end

    it "are exchanged with who sits there; there is room for all and a row more" do
      one, two = room.children.first(2)
      seating.put(one, 3)
      seating.put(two, 3)
      expect([one, two].map { |child| child.refresh.seat }).to eq([nil, 3])
      expect(seating.rows).to eq(2)
      seating.put(one, 13)
      expect(seating.rows).to eq(3)
      expect([described_class.place(0), described_class.place(6)]).to eq([[1, 1], [2, 1]])
    end
  end

  it "seats a child, whoever sits there taking the seat that gets free" do
    seating = described_class.new(room)
    one, other = room.children.first(2)
    seating.put(one, 3)
    seating.put(other, 5)
    seating.put(one, 5)
    expect([one, other].map { |child| child.refresh.seat }).to eq([5, 3])
    seating.put(one, nil)
    expect([one, other].map { |child| child.refresh.seat }).to eq([nil, 3])
  end

  it "seats refuse a name that is not there, and a seat without a name" do
    sign_in teacher[0]
    get "/listen/#{room.id}/seats"
    expect(send_form("/listen/#{room.id}/seats", item: 10**9, place: "1").status).to eq(404)
    expect(send_form("/listen/#{room.id}/seats", place: "1").status).to eq(422)
    expect(send_form("/listen/#{room.id}/seats", item: ada.id).status).to eq(422)
    send_form "/listen/#{room.id}/seats", item: ada.id, place: "4"
    expect(ada.refresh.seat).to eq(4)
    send_form "/listen/#{room.id}/seats", item: ada.id, place: "none"
    expect(ada.refresh.seat).to be_nil
  end
end
