# frozen_string_literal: true

require "app_helper"

RSpec.describe "Whoever takes the class" do
  let(:teacher) { make_teacher(children: ["Ada Brook", "Ada Bell", "Bo Lind", "Cleo"]) }
  let(:room) { teacher[1] }
  let(:lesson) { room.start_lesson(room.today) }
  let(:link) { "/substitute/#{lesson.refresh.substitute_key}" }
  let(:child) { room.children.find { |each| each.name == "Bo Lind" } }

  def plan
    lesson.course.plan("quick_look")
    lesson.course.plan("two_groups")
  end

  # The teacher makes the link; from then on nobody is signed in.
  def hand_over
    sign_in teacher[0]
    get "/lesson/#{room.id}"
    send_form "/lesson/#{room.id}/substitute", day: room.today
    clear_cookies
    get link
  end

  it "sees of what was recorded in the lesson only what came by the link" do
    posed = pose(room)
    keys = Array.new(2) { SecureRandom.uuid }
    keys.zip([false, true]) do |key, substitute|
      Records::Recorder.new(room, teacher[0], substitute: substitute)
                       .record(child: child, problem: posed, code: "count_on", client_key: key,
                               happened_at: Time.now - (substitute ? 0 : 900))
    end
    seen = Records::Classroom[room.id].extend(Records::ForSubstitute).see_only(posed.lesson)
    expect(keys.map { |key| seen.record(key)&.first_key }).to eq([nil, keys[1]])
    expect(seen.last_records(posed.lesson).map(&:first_key)).to eq([keys[1]])
  end

  def tap(code = "count_on", posed: room.current_problem, to: room, who: child, **more)
    send_form "/listen/#{to.id}/records", htmx: true, child_id: who.id, problem_id: posed.id, code: code,
                                          client_key: SecureRandom.uuid, **more
  end

  it "opens the lesson by its link: what to say, first names, and no ladder, account or other page" do
    plan
    hand_over
    expect(last_response.body).to include("You take Room 9 today", "Quick looks", "Ada Br.", "Ada Be.", ">Bo<", "Start")
    expect(last_response.body).not_to match(/Lind|Brook|Bell|class="ladder"(?!.*Rungs)|climb/)
    send_form "/lesson/#{room.id}/go", to: "start"
    follow_redirect!
    expect([last_response.status, last_response.body]).to match([200, include("Quick looks", "Say")])
    send_form "/lesson/#{room.id}/go", to: "on"
    pages = ["/conduct/#{room.id}", "/conduct/#{room.id}/kept", "/listen/#{room.id}", "/board/#{room.id}"]
    pages.each do |path|
      expect([path, get(path).status]).to eq([path, 200])
      expect(last_response.body).not_to match(%r{Lind|Brook|Bell|/climb/|/today/|/plan/|/share/|/photos/|search})
    end
  end

  it "is noted each time a browser begins, not at each look" do
    plan
    hand_over
    noted = -> { DB[:audit_events].where(what: "substitute", classroom_id: room.id).get(:times) }
    2.times { get link }
    expect(noted.call).to eq(1)
    clear_cookies
    get link
    expect(noted.call).to eq(2)
  end

  it "reaches nothing else of the class, and no other class" do
    plan
    other = make_teacher[1]
    hand_over
    paths = %w[today plan lesson week numbers find share climb hear groups back sheets].map do |tab|
      "/#{tab}/#{room.id}"
    end
    paths += ["/climb/#{room.id}/children/#{child.id}", "/account/classes/#{room.id}",
              "/account", "/search/#{room.id}?q=B", "/lesson/#{room.id}?day=#{room.today}",
              "/notes/#{room.id}/#{child.id}", "/conduct/#{other.id}",
              "/listen/#{other.id}", "/check-in/#{room.id}/#{child.id}"]
    paths.each { |path| expect([path, get(path).status]).to eq([path, 302]) }
    get link
    changes = ["/lesson/#{room.id}/usual", "/lesson/#{room.id}/substitute", "/week/#{room.id}/propose",
               "/account/classes/#{room.id}/children", "/listen/#{other.id}/records", "/photos/#{room.id}/records/x"]
    changes.each do |path|
      send_form path, name: "x"
      expect([path, last_response.status]).to eq([path, 302])
    end
    ["/listen/#{room.id}/seats", "/listen/#{room.id}/%73eats"].each { |path| expect(get(path).status).to eq(404) }
    expect(lesson.refresh.substitute_key).not_to be_nil
  end

  it "reaches no problem, part, lesson or record that is not of this lesson or not its own" do
    old = pose(room, [3, 4], day: room.today - 7)
    mine = Records::Recorder.new(room, teacher[0]).record(child: child, problem: pose(room), code: "guess",
                                                          client_key: SecureRandom.uuid, happened_at: Time.now)
    hand_over
    expect(get("/listen/#{room.id}?problem=#{old.id}").status).to eq(404)
    expect(get("/board/#{room.id}/lessons/#{old.lesson_id}/screen").status).to eq(404)
    get "/listen/#{room.id}"
    tap(posed: old)
    expect(last_response.status).to eq(404)
    %w[undo changes].each do |what|
      send_form "/listen/#{room.id}/records/#{mine.first_key}/#{what}", htmx: true, client_key: SecureRandom.uuid
      expect([what, last_response.status]).to eq([what, 404])
    end
    expect(room.observations_dataset.count).to eq(1)
  end

  it "keeps what is tapped as a substitute's, shows them that alone, and lets them correct it" do
    posed = pose(room)
    Records::Recorder.new(room, teacher[0]).record(child: room.children.last, problem: posed, code: "guess",
                                                   client_key: SecureRandom.uuid, happened_at: Time.now)
    hand_over
    expect(get("/listen/#{room.id}").body).not_to include("guess, heard")
    key = SecureRandom.uuid
    tap(client_key: key)
    expect(last_response.body).to include("Bo, just now")
    expect(last_response.body).not_to match(/Lind|class="ladder-/)
    send_form "/listen/#{room.id}/records/#{key}/changes", htmx: true, code: "make_ten", client_key: SecureRandom.uuid
    row = room.record(key)
    expect(row).to have_attributes(code: "make_ten", substitute: true, account_id: nil)
    expect(row.summary).to include("heard by a substitute")
    expect(get("/listen/#{room.id}").body.scan('id="record-').size).to eq(1)
    expect(Records::Evidence.new(room).estimate(child, "add", "bridge", on: room.today).records.size).to eq(1)
  end

  it "lets each take back their own of a child who left the list meanwhile, by the name seen here" do
    posed, keys = pose(room), Array.new(2) { SecureRandom.uuid }
    sign_in teacher[0]
    get "/listen/#{room.id}"
    tap(posed: posed, client_key: keys[0])
    hand_over
    get "/listen/#{room.id}"
    tap(posed: posed, client_key: keys[1])
    child.update(left_on: room.today)
    send_form "/listen/#{room.id}/records/#{keys[1]}/undo", htmx: true, client_key: SecureRandom.uuid
    expect([last_response.status, room.record(keys[1])]).to eq([200, nil])
    tap(posed: posed)
    expect(last_response.body).to include("Bo (off the list now), just now")
    expect(last_response.body).not_to include("Lind")
    send_form "/listen/#{room.id}/records/#{keys[0]}/undo", htmx: true, client_key: SecureRandom.uuid
    expect(last_response.status).to eq(404)
    clear_cookies
    sign_in teacher[0]
    get "/listen/#{room.id}"
    send_form "/listen/#{room.id}/records/#{keys[0]}/undo", htmx: true, client_key: SecureRandom.uuid
    expect(last_response.status).to eq(200)
    expect(room.record(keys[0])).to be_nil
  end

  it "is good on its day only, and not any more when it is called back" do
    plan
    tomorrow = room.lesson_for(room.today + 1).tap(&:ask_substitute)
    yesterday = room.lesson_for(room.today - 1).tap(&:ask_substitute)
    { tomorrow => "on that day", yesterday => "only" }.each do |each, words|
      get "/substitute/#{each.substitute_key}"
      expect([last_response.status, last_response.body]).to match([200, include("opens nothing today", words)])
      expect(get("/conduct/#{room.id}").status).to eq(302)
    end
    hand_over
    posed = pose(room)
    lesson.refresh.call_back
    tap(posed: posed)
    expect([last_response.status, last_response.body]).to match([401, include("not good any more")])
    get "/conduct/#{room.id}"
    follow_redirect!
    expect([last_response.status,
            last_response.body]).to match([404, include("called back", "Nothing that was recorded is lost")])
    expect(get("/substitute/#{'0' * 32}").status).to eq(404)
  end

  it "takes four hundred records, and none later than 40 minutes after the lesson" do
    posed = pose(room)
    hand_over
    get "/listen/#{room.id}"
    stub_const("Records::Lesson::Lent::MOST_BY_LINK", 2)
    3.times { tap(posed: posed) }
    expect([last_response.status, last_response.body]).to match([422, /it takes no more/])
    expect(room.observations_dataset.count).to eq(2)
    stub_const("Records::Lesson::Lent::MOST_BY_LINK", 400)
    lesson.refresh.finish
    Timecop.travel(Time.now + (39 * 60))
    tap(posed: posed)
    expect(last_response.status).to eq(200)
    Timecop.travel(Time.now + 120)
    tap(posed: posed)
    expect(last_response.status).to eq(401)
    expect(get(link).body).to include("until 40 minutes after it")
  end

  # All that is counted of the class.
  def counted
    here = { classroom_id: room.id }
    [room.observations_dataset.standing.order(:first_key).map { |row| [row.first_key, row.summary] },
     DB[:standings].where(here).order(:child_id, :scope).all, DB[:tallies].where(here).order(:child_id).all]
  end

  it "has all it took down set aside by one press of the teacher, and counted again as it was" do
    posed = pose(room)
    hand_over
    get "/listen/#{room.id}"
    keys = Array.new(3) { SecureRandom.uuid }
    keys.zip(room.children).each { |key, who| tap(posed: posed, who: who, client_key: key) }
    send_form "/listen/#{room.id}/records/#{keys[2]}/undo", htmx: true, client_key: SecureRandom.uuid
    clear_cookies
    sign_in teacher[0]
    get "/listen/#{room.id}"
    tap(posed: posed, who: room.children.last)
    before = counted
    expect(get("/lesson/#{room.id}").body).to include("2 answers were taken down by a substitute")
    send_form "/lesson/#{room.id}/aside", day: room.today
    expect(room.observations_dataset.standing.count).to eq(1)
    expect(Records::Evidence.new(room).counts.values.sum).to eq(1)
    expect(get("/lesson/#{room.id}").body).to include("2 answers are set aside: kept, and counted nowhere")
    send_form "/lesson/#{room.id}/aside", day: room.today, off: "true"
    expect(counted).to eq(before)
    expect(get("/account/log").body).to include("set aside what a substitute", "counted again what a substitute")
  end

  it "is told to the class's teacher: who made it, that it was opened, and what was heard by it" do
    plan
    hand_over
    3.times { get link }
    clear_cookies
    sign_in teacher[0]
    expect(get("/account/log").body.scan("opened a lesson by a substitute").size).to eq(1)
    get "/lesson/#{room.id}"
    expect(last_response.body).to include(link, "Call it back")
    send_form "/lesson/#{room.id}/substitute", day: room.today, off: "true"
    expect(get("/account/log").body).to include("called a substitute’s link back", "made a link for a substitute")
    expect(get("/lesson/#{room.id}").body).to include("Make the link")
  end

  it "changes nothing for the teacher who opens the link, nor for a teacher with another class" do
    plan
    colleague = make_teacher[0]
    hand_over
    clear_cookies
    sign_in colleague
    get link
    send_form "/lesson/#{room.id}/go", to: "start"
    expect(get("/conduct/#{room.id}").status).to eq(200)
    expect(get("/climb/#{room.id}").status).to eq(404)
    clear_cookies
    sign_in teacher[0]
    expect(get(link).body).to include("This is your own class")
    pose(room)
    get "/listen/#{room.id}"
    expect(last_response.body).to include("Bo Lind", "/climb/")
    tap
    expect(room.observations_dataset.first).to have_attributes(substitute: false, account_id: teacher[0].id)
  end
end
