# frozen_string_literal: true

require "app_helper"

# What leaves a class for another: children, with their records or without, one child by a code, lessons and weeks.
RSpec.describe "What goes from class to class" do
  let(:giver) { make_teacher(children: %w[Ada Bo Cleo]) }
  let(:taker) { make_teacher(children: %w[Adá Bo Zed]) }
  let(:old) { giver[1] }
  let(:room) { taker[1] }
  let(:path) { "/records/#{room.id}" }

  before { hear_everybody(old, giver[0]) }

  def zip(**holds)
    file = Tempfile.new("rungs")
    Exchange::Archive.write(old, to: file.path, holding: yield(Exchange::Archive::Holding, **holds))
    File.binread(file.path)
  end

  def handed(**how) = zip { |holding| holding.handed(old.children, **how) }

  def look_at(bytes, name: "from.zip")
    sign_in taker[0]
    get path
    sent = Rack::Test::UploadedFile.new(StringIO.new(bytes), "application/zip", original_filename: name)
    send_form "#{path}/in", file: sent
    get URI(last_response.headers["location"]).request_uri
    last_request.path
  end

  def named(name) = room.refresh.children.find { |child| child.name == name }
  def answers(child) = Records::Observation.standing.where(child_id: child.id).count
  def working(child, room) = Records::Evidence.new(room).estimate(child, "add", "to10", on: room.today).working

  it "matches children by name, asks about the doubtful one, and brings answers that count as before" do
    there = look_at(handed)
    expect(squeezed).to include("<strong>3 children</strong>from Room 9", "perhaps Adá", "who is this?")
    send_form there
    expect([last_response.status, last_response.body]).to match([422, /Say who Ada is/])
    ada = named("Adá")
    send_form there, whose: { "1" => ada.id.to_s, "2" => named("Bo").id.to_s, "3" => "new" }
    expect(room.children_dataset.select_order_map(:name)).to eq(%w[Adá Bo Cleo Zed])
    expect([ada, named("Bo"), named("Cleo"), named("Zed")].map { |child| answers(child) }).to eq([4, 4, 4, 0])
    expect(working(ada, room)).to eq(working(old.children.first, old))
  end

  it "hands over photos with the records that they belong to, else none" do
    lists = [true, false].product([true, false]).map do |records, photos|
      Exchange::Archive::Holding.handed(old.children, records: records, photos: photos).lists & %i[observations photos]
    end
    expect(lists).to eq([%i[observations photos], %i[observations], [], []])
  end

  it "adds nothing the second time, and is taken back whole" do
    bytes = handed
    2.times do
      there = look_at(bytes)
      send_form there, whose: { "1" => "new", "2" => "out", "3" => "new" }
    end
    expect(room.children_dataset.select_order_map(:name)).to eq(["Ada", "Ada 2", "Adá", "Bo", "Cleo", "Cleo 2", "Zed"])
    expect([named("Ada"), named("Ada 2"), named("Bo")].map { |child| answers(child) }).to eq([4, 0, 0])
    Records::Brought.where(classroom_id: room.id).reverse(:id).all.each do |brought|
      get path
      send_form "#{path}/brought/#{brought.id}/away"
    end
    expect(room.refresh.children_dataset.select_order_map(:name)).to eq(%w[Adá Bo Zed])
    left = %i[observations problems lessons].to_h { |table| [table, DB[table].where(classroom_id: room.id).count] }
    expect(left.values).to eq([0, 0, 0])
  end

  it "tells only where each child is where that is all that is handed over; it is shown and weighs nothing" do
    there = look_at(handed(records: false))
    expect(squeezed).to include("comes along in words")
    send_form there, whose: { "1" => "out" }
    bo = named("Bo")
    expect(answers(bo)).to eq(0)
    get "/climb/#{room.id}/children/#{bo.id}"
    expect(squeezed).to include("From the class before", "count on, ", "4 answers")
    expect(Records::Evidence.new(room).estimate(bo, "add", "to10", on: room.today).working).to be_nil
    again = Exchange::Archive::Content.new(room).to_h["came_with"]
    expect(again.map { |row| row["child_id"] }.uniq.size).to eq(2)
  end

  it "names nobody who does not go along" do
    posed = pose(old, [3, 2])
    posed.update(story: "Ada and Cleo find 3 shells.")
    Records::Recorder.new(old, giver[0]).record(child: old.children.first, problem: posed, code: "count_on",
                                                happened_at: Time.now, client_key: SecureRandom.uuid)
    content = Exchange::Archive::Content.new(old, Exchange::Archive::Holding.handed(old.children.first(1))).to_h
    expect(content.to_s).to include("Ada and a child find 3 shells.").and not_include("Cleo")
  end

  it "brings a child's own file in, and refuses what is none" do
    bytes = JSON.generate(Exchange::Archive.of_child(old.children.last))
    there = look_at(bytes, name: "child.json")
    send_form there
    expect(answers(named("Cleo"))).to eq(4)
    look_at('{"format": "other"}', name: "child.json")
    expect(last_response.body).to include("That is no file of a class that Rungs wrote")
    look_at("{ not json", name: "child.json")
    expect([last_response.status, last_response.body]).to match([422, /cannot be read/])
  end

  it "moves a child by a code when both teachers agree, once" do
    sign_in giver[0]
    get "/records/#{old.id}"
    send_form "/records/#{old.id}/offers", child: old.children.last.id.to_s
    code = Records::ChildOffer.last.code
    expect(get("/records/#{old.id}").body).to include(Records::ShortCode.written(code))
    clear_cookies
    sign_in taker[0]
    get "#{path}/come?code=#{code.downcase[0, 4]}+#{code[4..]}"
    expect(squeezed).to include("<strong>1 child</strong>from Room 9", "Cleo")
    send_form "#{path}/come?code=#{code}"
    expect([answers(named("Cleo")), old.refresh.children.map(&:name)]).to eq([4, %w[Ada Bo]])
    get path
    expect(last_response.body).to include("4 answers of children who came from Room 9")
    send_form "#{path}/come?code=#{code}"
    expect([last_response.status, last_response.body]).to match([422, /Nobody is offered by that code/])
    expect(Records::Audit.of_class(old, most: 5).map(&:what)).to include("took a child over into another class")
  end

  it "offers nobody after a week, to the own class, or after it was called back" do
    offer = Records::ChildOffer.make(old.children.first, giver[0])
    expect(Records::ChildOffer.by_code(offer.code)).to eq(offer)
    Timecop.travel(Time.now + Records::ChildOffer::KEPT + 60) do
      expect(Records::ChildOffer.by_code(offer.code)).to be_nil
    end
    sign_in giver[0]
    expect(get("/records/#{old.id}/come?code=#{offer.code}").status).to eq(422)
    get "/records/#{old.id}"
    send_form "/records/#{old.id}/offers/#{offer.id}/away"
    expect(Records::ChildOffer.by_code(offer.code)).to be_nil
  end

  describe "lessons and weeks" do
    let(:days) { (old.today - 7)..(old.today + 14) }

    before do
      course = old.start_lesson(old.today + 1).course
      course.plan("twins", minutes: 6, details: { "for" => [old.children.first.id], "note" => "Ada begins" })
      course.plan("two_groups", minutes: 9)
      Records::Week.new(old, old.today).aim("I can count on.", band: "to10", operation: "add")
    end

    def plans = zip { |holding| holding.plans(days) }
    def parts(day) = room.lesson_on(day)&.course&.parts.to_a.map { |part| [part.kind, part.minutes] }

    it "go to a colleague, on their days or weeks later, once, without anybody's name" do
      bytes = plans
      there = look_at(bytes)
      expect(squeezed).to include("of Room 9", "Twins")
      expect(squeezed).not_to include("Ada begins")
      send_form there
      expect(parts(room.today + 1)).to eq([["twins", 6], ["two_groups", 9]])
      told = [room, old].map do |of|
        items = of.lesson_on(of.today + 1).course.parts.last.items
        (0..3).map { |at| items.item(at).ask }
      end
      expect(told.uniq.size).to eq(1)
      expect(Records::Week.new(room, room.today).i_can).to eq("I can count on.")
      look_at(bytes)
      expect(squeezed).to include("there already", "disabled")
      monday = room.today - room.today.wday + 1
      look_at(bytes)
      get "#{last_request.path}?from=#{monday + 21}"
      send_form last_request.path, from: (monday + 21).to_s
      expect(parts(room.today + 22)).to eq([["twins", 6], ["two_groups", 9]])
      get path
      Records::Brought.where(classroom_id: room.id).each { |each| send_form "#{path}/brought/#{each.id}/away" }
      expect([parts(room.today + 1), parts(room.today + 22)]).to eq([[], []])
    end

    it "stand behind what is planned, and what was heard in them stays when they are taken back" do
      room.start_lesson(room.today + 1).course.plan("dice_mat", minutes: 5)
      there = look_at(plans)
      send_form there
      expect(parts(room.today + 1).map(&:first)).to eq(%w[dice_mat twins two_groups])
      twins = room.lesson_on(room.today + 1).course.parts[1]
      twins.items.posed(0)
      get path
      send_form "#{path}/brought/#{Records::Brought.last.id}/away"
      expect(parts(room.today + 1).map(&:first)).to eq(%w[dice_mat twins])
      look_at(plans)
      first = -> { Nokogiri::HTML5(last_response.body).at_css("input[name=from]")["value"] }
      expect(first.call).to eq(room.today.iso8601)
      get "#{last_request.path}?from=#{room.today + 14}"
      expect(Date.iso8601(first.call)).to be > room.today + 7
      get "#{last_request.path}?from=soon"
      expect([last_response.status, last_response.body]).to match([422, /is not a date/])
    end
  end

  it "takes names that were added by a list off again, but for whom somebody has heard since" do
    sign_in taker[0]
    get "/account/classes/#{room.id}"
    send_form "/account/classes/#{room.id}/children", names: "Bo\nYara\nXeno"
    Records::Recorder.new(room, taker[0]).record(child: named("Yara"), problem: pose(room), code: "count_on",
                                                 happened_at: Time.now, client_key: SecureRandom.uuid)
    get path
    expect(last_response.body).to include("2 names from a list")
    send_form "#{path}/brought/#{Records::Brought.last.id}/away"
    expect(room.refresh.children_dataset.select_order_map(:name)).to eq(%w[Adá Bo Yara Zed])
    get "/account/classes/#{room.id}"
    send_form "/account/classes/#{room.id}/children", names: "Bo"
    expect(Records::Brought.where(classroom_id: room.id)).to be_empty
  end

  it "says which two names may be one child" do
    near = [%w[Zoe Zoë], %w[Ben Benno], ["Jan", "Jan B."], %w[Ilse Else], %w[Ann Anne], %w[mia Mia]]
    far = [%w[Ada Bo], %w[Al Bo], %w[Jan Ben], %w[Mia Tia Maria]]
    expect(near.map { |pair| Exchange::Names.near?(*pair) }).to all(be(true))
    expect(near.map { |pair| Exchange::Names.near?(*pair.reverse) }).to all(be(true))
    expect(far.map { |pair| Exchange::Names.near?(*pair.first(2)) }).to eq([false, false, false, true])
  end
end
