# frozen_string_literal: true

require "app_helper"

# What each page must say of a class that was heard for eight weeks (the demo class), in a few sentences.
RSpec.describe "What pages say" do
  let(:room) { Demo::School.account.classrooms.first }
  let(:ids) { room.children.to_h { |child| [child.name, child.id] } }

  before do
    get "/account/login"
    send_form "/account/demo"
  end

  def said(path)
    answer = get(path.gsub("ROOM", room.id.to_s).gsub(/CHILD:(\w+)/) { ids.fetch(Regexp.last_match(1)).to_s })
    expect([path, answer.status]).to eq([path, 200])
    Nokogiri::HTML5(answer.body).at_css("body").text.gsub(/\s+/, " ")
  end

  def holds(pages) = pages.each { |path, words| expect(said(path)).to include(*words) }

  it "of today, the lesson and the week" do
    holds("/today/ROOM" => ["Today in Room 4", "Whom to hear", "Start"],
          "/lesson/ROOM" => ["Hidden beads", "min"], "/week/ROOM" => ["Week of 23 November", "Monday", "Friday"],
          "/plan/ROOM?situation=take_from.result&numbers[]=13&numbers[]=5" => ["13 − 5", "About"],
          "/find/ROOM" => ["Put together", "Take away"], "/hear/ROOM" => ["Whom to hear", "Greta"])
  end

  it "of listening: every rung with what it sounds like, the codes off the ladder, and the names" do
    posed = room.problems_dataset.order(:posed_at).last
    holds("/listen/ROOM?problem=#{posed.id}" => ["Count all", "Count on", "Part–whole", "Known fact", "no answer",
                                                 "Anouk", "Zuri"])
  end

  it "of a class: how each works things out and how much is known, never a chance" do
    holds("/climb/ROOM" => ["to 10", "through ten", "known", "last heard"],
          "/climb/ROOM?by=families" => ["doubles", "partners of ten"],
          "/back/ROOM?view=term" => ["What moved", "What is known now", "more fact"],
          "/groups/ROOM?operation=add&band=to10" => ["not heard enough", "Numbers for them"])
    expect(said("/climb/ROOM")).not_to match(/%|0\.\d/)
  end

  it "of a child: how it is worked out, what is known, fact by fact, and what to ask" do
    room.children.each do |child|
      page = said("/climb/ROOM/children/#{child.id}?operation=add&band=to10")
      expect(page).to include("What is not known is worked out by", "What is known", "Next")
      expect(page).to match(/#{child.name}[ ,:]+(works out|to 10|not enough heard|knows)/)
    end
    holds("/climb/ROOM/children/CHILD:Petra?operation=subtract&band=bridge" => ["What goes stands at the left"],
          "/climb/ROOM/children/CHILD:Petra?operation=add&band=family:double" => ["they are only counted"],
          "/notes/ROOM/CHILD:Petra" => ["A note for Petra’s family", "When "])
  end

  it "of paper, files, people and visits" do
    holds("/sheets/ROOM" => ["For today", "Clipboard"],
          "/records/ROOM" => ["Take out", "Bring in", "How long", "Who looked"],
          "/people/ROOM" => ["Ms Reva", "teacher since"], "/account/classes/ROOM" => %w[Anouk Zuri Class],
          "/coach/" => ["Classes I coach"], "/gallery/" => ["Gallery"])
  end
end
