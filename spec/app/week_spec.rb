# frozen_string_literal: true

require "app_helper"

RSpec.describe "The week" do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:monday) { room.today - (room.today.cwday - 1) + 7 }
  let(:path) { "/week/#{room.id}" }

  def week = Records::Week.new(Records::Classroom[room.id], monday)

  before do
    sign_in teacher[0]
    get "#{path}?from=#{monday}"
  end

  def kinds = week.planned.transform_values { |parts| parts.map(&:kind) }

  it "is proposed in one press, with a reason for each part, within the time, one new thing a day, the same again" do
    send_form "#{path}/propose", from: monday
    body = squeezed(get("#{path}?from=#{monday}"))
    expect(body).to include("6 to begin with, to 10: nobody of 5", "Things to bring", "I can ")
    expect(kinds.size).to eq(5)
    there = week
    there.planned.each do |date, parts|
      expect(parts.sum(&:minutes)).to be_between(22, 25)
      expect(there.new_things_on(date).size).to be <= 1
    end
    expect(week.current_aim).to eq(band: "to10", operation: "add")
    pose(room, [14, 3], situation: "take_from.result")
    expect(week.current_aim).to eq(band: "to10", operation: "add")
    first = kinds
    week.dates.each { |date| send_form "#{path}/day", from: monday, day: date, do: "empty" }
    expect(week.empty?).to be(true)
    send_form "#{path}/propose", from: monday
    expect(kinds.values.flatten.uniq.size).to be > 4
    expect(first.values.map(&:size)).to eq(kinds.values.map(&:size))
  end

  it "leaves days without school and what is planned alone, and exchanges a part for the next best" do
    send_form "#{path}/day", from: monday, day: monday + 2, do: "close"
    room.start_lesson(monday).course.plan("twins")
    send_form "#{path}/propose", from: monday
    expect([kinds[monday], kinds[monday + 2]]).to eq([["twins"], []])
    part = week.parts_on(monday + 1).find { |each| each.details.purpose == "focus" }
    send_form "#{path}/parts/#{part.id}/exchange", from: monday
    expect(part.refresh.kind).not_to eq(kinds[monday])
    expect(week.parts_on(monday + 1).map(&:kind).uniq.size).to eq(week.parts_on(monday + 1).size)
  end

  it "moves a part to another day, copies a day, and repeats an earlier week" do
    part = room.start_lesson(monday).course.plan("twins")
    send_form "#{path}/move", from: monday, item: part.id, place: monday + 3
    expect([kinds[monday], kinds[monday + 3]]).to eq([[], ["twins"]])
    send_form "#{path}/day", from: monday, day: monday + 3, place: monday + 4, do: "copy"
    expect(kinds[monday + 4]).to eq(["twins"])
    copies = [part.refresh, week.parts_on(monday + 4).first]
    expect(copies.map { |each| each.details.options }.uniq.size).to eq(1)
    expect(copies.map { |each| each.details.seed }.uniq.size).to eq(2)
    part.merge_details("thrown" => { "0" => { "half" => 4 } })
    send_form "#{path}/day", from: monday, day: monday + 3, place: monday + 2, do: "copy"
    expect(week.parts_on(monday + 2).first.details.seed).to eq(part.details.seed)
    week.empty(monday + 2)
    send_form "#{path}/repeat", from: monday + 7, place: monday
    expect(room.lesson_on(monday + 11).course.parts.map(&:kind)).to eq(["twins"])
    send_form "#{path}/move", from: monday, item: 999_999, place: monday
    expect(last_response.status).to eq(404)
    send_form "#{path}/day", from: monday, day: monday + 1, do: "copy"
    expect([last_response.status, last_response.body]).to match([422, include("Nothing is planned")])
  end

  it "goes back over no item of late" do
    3.times do |weeks|
      send_form "#{path}/propose", from: monday + (weeks * 7)
    end
    lessons = room.lessons_dataset.order(:held_on).all
    items = lessons.flat_map do |lesson|
      lesson.course.parts.flat_map { |part| part.items.all_data.map { |data| [lesson.held_on, part.kind, data] } }
    end
    soon = items.uniq.group_by { |_, kind, data| [kind, data] }.sum do |_, times|
      times.map(&:first).sort.each_cons(2).count { |one, other| Rungs::SchoolDays.between(one, other) < 10 }
    end
    expect(soon).to be < items.size / 3
  end

  it "counts a picture and a situation as new, two on a day, and offers a day that has none" do
    course = room.lesson_for(monday).course
    course.plan("two_groups")
    course.plan("some_leave", details: { "options" => { "acted" => "fingers" } })
    room.lesson_for(monday + 4).course.plan("some_leave")
    there = week
    expect(there.new_things_on(monday).map(&:last)).to eq([%w[activity two_groups], %w[activity some_leave]])
    expect(there.new_things_on(monday + 4)).to eq([])
    body = squeezed(get("#{path}?from=#{monday}"))
    expect(body).to include("Two new things on one day", "Some leave: to Tuesday")
    part = there.parts_on(monday).last
    send_form "#{path}/move", from: monday, item: part.id, place: monday + 1
    expect(kinds.values_at(monday, monday + 1)).to eq([%w[two_groups], %w[some_leave]])
    expect(get("#{path}?from=#{monday}").body).not_to include("Two new things")

    room.lesson_for(monday + 2).course.plan("story_time", details: { "options" => { "situation" => "add_to.change" } })
    expect(week.new_things_on(monday + 2).map(&:last)).to eq([%w[situation add_to.change]])
    room.lesson_for(monday + 3).course.plan("two_groups", details: { "range" => "to20", "options" => { "to" => 20 } })
    expect(week.new_things_on(monday + 3)).to eq([])
  end

  it "does not count as met what was planned for a day gone by and not held" do
    room.lesson_for(room.today - 7).course.plan("twins")
    room.lesson_for(monday).course.plan("twins")
    expect(week.new_things_on(monday).map(&:last)).to eq([%w[activity twins]])
    held = room.lesson_on(room.today - 7).course
    held.go(held.parts.first)
    held.leave
    expect(week.new_things_on(monday)).to eq([])
  end

  it "has an aim of its own: range, operation and sentence, by which it is proposed" do
    expect(week.current_aim).to eq(band: "to10", operation: "add")
    send_form "#{path}/aim", from: monday, band: "to5", operation: "subtract", i_can: "I can take some away to 5."
    body = squeezed(get("#{path}?from=#{monday}"))
    expect(body).to include("I can take some away to 5.", "Taking away, numbers to 5")
    send_form "#{path}/propose", from: monday
    stories = week.parts.select { |part| part.details.purpose == "story" }
    expect(stories.map { |part| part.details.range }.uniq).to eq(%w[to5])
    expect(stories.map { |part| part.items.item(0).problem.operation }.tally).to eq("add" => 2, "subtract" => 3)
    send_form "#{path}/aim", from: monday, band: "to5", operation: "subtract", i_can: ""
    about = week.i_can
    send_form "#{path}/aim", from: monday, band: "to10", operation: "subtract", i_can: about
    expect(DB[:weeks].where(classroom_id: room.id).get(:i_can)).to be_nil
    later = Records::Week.new(Records::Classroom[room.id], monday + 7)
    expect(later.current_aim).to eq(band: "to10", operation: "subtract")
    send_form "#{path}/aim", from: monday, band: "to7"
    expect(last_response.status).to eq(422)
  end

  it "is proposed anew with other activities, and taken back" do
    send_form "#{path}/propose", from: monday
    mine = room.lesson_for(monday + 4).course
    mine.plan("twins")
    before = kinds
    send_form "#{path}/propose/another", from: monday
    after = kinds
    expect(after[monday + 4]).to eq(before[monday + 4])
    mains = [before, after].map { |all| all.values.first(4).map { |day| (day - Rungs::Activity::USUAL).first } }
    expect(mains.first & mains.last).to eq([])
    follow_redirect!
    expect(last_response.body).to include("Another week is proposed.", "Undo")
    back = last_response.body[%r{action="(/week/#{room.id}/propose/back[^"]+)"}, 1].gsub("&amp;", "&")
    send_form back
    expect(kinds).to eq(before)
  end

  it "exchanges every part within its day's time, the same for the same, and says where nothing else fits", :deep do
    send_form "#{path}/propose", from: monday
    part = week.parts_on(monday).find { |each| each.details.purpose == "focus" }
    kept = Array.new(30) do
      send_form "#{path}/parts/#{part.id}/exchange", from: monday
      [last_response.status, part.refresh.kind, week.parts_on(monday).sum(&:minutes) <= 25]
    end
    there = kept.take_while { |status,| status == 302 }.map { |_, kind, _| kind }
    expect(there.uniq).to eq(there)
    expect(there.size).to be > 5
    expect(kept.map(&:last).uniq).to eq([true])
    expect([last_response.status, last_response.body]).to match([422, include("Nothing else fits")])
    own = room.lesson_for(monday + 5).course.plan("twins")
    send_form "#{path}/parts/#{own.id}/exchange", from: monday
    expect(own.refresh.kind).not_to eq("twins")
  end

  it "moves a day whole, and puts before the next lesson what the last one left undone" do
    day = Rungs::SchoolDays.from(room.today, 1).first
    before = room.lesson_for(day - 1)
    %w[twins toss].each { |kind| before.course.plan(kind) }
    before.course.go(before.course.parts.first)
    before.finish
    room.lesson_for(day).course.plan("quick_look")
    from = "from=#{day}"
    expect(get("#{path}?#{from}").body).to include("Left from", "twins, toss and tell")
    send_form "#{path}/flow?#{from}"
    expect(room.lesson_on(day).course.parts.map(&:kind)).to eq(%w[twins toss quick_look])
    expect(room.lesson_on(day - 1).course.left).to eq([])
    expect(get("#{path}?#{from}").body).not_to include("Left from")
    send_form "#{path}/flow?#{from}"
    expect(last_response.status).to eq(422)

    room.lesson_for(monday).course.plan("twins")
    room.lesson_for(monday).course.plan("toss")
    send_form "#{path}/day", from: monday, day: monday, place: monday + 2, do: "move"
    expect(kinds.values_at(monday, monday + 2)).to eq([[], %w[twins toss]])
  end

  it "goes on with what was left in the last seven days, on no day that is over" do
    left = [8, 7].map do |days|
      room.lesson_for(monday - days).course.plan("twins")
      Records::Week.new(room, monday).left_over(monday)&.last&.held_on
    end
    expect(left).to eq([nil, monday - 7])
    expect(Records::Week.new(room, monday - 7).left_over(monday - 5)&.first).to eq(monday - 5)
  end

  it "brings for who is there that day, and prints the sheets of a day or a week as one file", :deep do
    course = room.lesson_for(monday).course
    course.plan("domino_sums")
    room.lesson_for(monday + 1).course.plan("toss")
    expect(get("#{path}?from=#{monday}&day=#{monday}").body).to include("Set of dominoes</strong> 3")
    room.children.first(2).each { |child| room.note_absence(child, monday, away: true) }
    expect(get("#{path}?from=#{monday}&day=#{monday}").body).to include("Set of dominoes</strong> 2")
    expect(get("#{path}?from=#{monday}").body).to include("Set of dominoes</strong> 3")
    expect(get("/lesson/#{room.id}?day=#{monday}").body).to include("Set of dominoes</strong> 2")

    printed = Nokogiri::HTML5(last_response.body).at_css("a:contains('Print what is cut')")["href"]
    expect(pages(get(printed))).to be > 2

    pack = "/sheets/#{room.id}/pack.pdf?from=#{monday}&until=#{monday + 4}"
    expect(pages(get("#{pack}&kinds[]=lesson"))).to eq(2)
    expect(pages(get("#{pack}&kinds[]=recording"))).to eq(10)
    expect(pages(get("#{pack}&kinds[]=lesson&kinds[]=recording&kinds[]=cutouts"))).to be > 12
    { "#{pack}&kinds[]=families" => 422, pack => 422,
      pack.sub(/until=[^&]+/, "until=#{monday + 30}") => 422 }.each do |asked, status|
      expect([asked, get(asked).status]).to eq([asked, status])
    end
  end

  # Monday is over; of a week that is over, all is still there to read.
  it "brings for the days to come" do
    room.lesson_for(monday).course.plan("domino_sums")
    brought = lambda do |day|
      on_day(day) do
        as(teacher[0]) { get("#{path}?from=#{monday}").body.include?("Set of dominoes</strong>") }
      end
    end
    expect([monday, monday + 1, monday + 4, monday + 7].map(&brought)).to eq([true, false, false, true])
  end

  def pages(response)
    said, = Open3.capture2("pdfinfo", "-", stdin_data: response.body, binmode: true)
    said[/Pages: +(\d+)/, 1].to_i
  end

  it "is nobody's business but its teacher's, and says what is missing with no children" do
    stranger = make_teacher(children: [])
    expect(get("/week/#{stranger[1].id}").status).to eq(404)
    clear_cookies
    sign_in stranger[0]
    expect(get("/week/#{stranger[1].id}").body).to include("Week of")
  end

  it "lists only what is not on the shelf" do
    room.start_lesson(monday).course.plan("toss")
    thing = Rungs::Activity::ALL.fetch("toss").materials.first.thing
    expect(get("#{path}?from=#{monday}").body).to include("We have it<span class=\"visually-hidden\">: #{thing}")
    send_form "#{path}/shelf", from: monday, thing: thing, there: "1"
    expect(get("#{path}?from=#{monday}").body).to include("On your shelf", "Not any more")
    expect(last_response.body).not_to include("We have it<span class=\"visually-hidden\">: #{thing}")
    expect(week.shelf).to eq([thing])
    send_form "#{path}/shelf", from: monday, thing: "a spaceship", there: "1"
    expect(last_response.status).to eq(422)
  end

  it "says over the term what was done, in which ranges, and how long it took, and what not yet" do
    course = room.start_lesson(room.today).course
    part = course.plan("twins", minutes: 9)
    course.go(part)
    Records::PartRun.where(part_id: part.id).update(started_at: Time.now - 600)
    course.leave
    row = Records::Term.new(room, room.today - 30, room.today).rows.first
    expect(row.to_h).to include(times: 1, last: room.today, planned: 9, taken: 10)
    expect(row.bands.values).to eq([1])
    body = get("#{path}/term").body
    expect(body).to include("Twins", "not yet", "The term")
    expect(Records::Term.new(room, room.today - 30, room.today).rows.last.times).to eq(0)
  end

  it "says in the week after that the aim was reached, where two thirds were right on its rung in the check" do
    before = Records::Week.new(Records::Classroom[room.id], monday - 7)
    before.aim("", band: "to10", operation: "add")
    hear_everybody(room, teacher[0])
    part = room.lesson_for(room.today).course.plan("story_time", details: { "role" => "check", "count" => 0 })
    told = Rungs::Activity::POSED.data_for(Rungs::Problem.from_story("add_to.result", [6, 3]), "6 and 3")
    part.items.add([told])
    posed = part.items.posed(0)
    recorder = Records::Recorder.new(room, teacher[0])
    record = lambda do |child|
      recorder.record(child: child, problem: posed, code: "part_whole", happened_at: Time.now,
                      client_key: SecureRandom.uuid)
    end
    room.children.first(3).each(&record)
    expect(get("#{path}?from=#{monday}").body).not_to include("Reached")
    record.call(room.children[3])
    expect(squeezed(get("#{path}?from=#{monday}"))).to include("Reached</strong>in the week before: “I can ")
  end

  it "goes on from an aim that was reached, and keeps those in a group who are not there yet" do
    before = Records::Week.new(Records::Classroom[room.id], monday - 7)
    before.aim("", band: "to10", operation: "add")
    DB[:weeks].where(classroom_id: room.id).update(rung: 2)
    part = room.lesson_for(room.today).course.plan("story_time", details: { "role" => "check", "count" => 0 })
    part.items.add([Rungs::Activity::POSED.data_for(Rungs::Problem.from_story("add_to.result", [6, 3]), "6 and 3")])
    recorder = Records::Recorder.new(room, teacher[0])
    room.children.each_with_index do |child, index|
      recorder.record(child: child, problem: part.items.posed(0), code: index.zero? ? "count_all" : "count_on",
                      happened_at: Time.now, client_key: SecureRandom.uuid)
    end
    expect(week.goal.to_a.first(3)).to eq(["add", "to10", 3])
    expect(squeezed(get("#{path}?from=#{monday}"))).to include("in a group of their own: #{room.children.first.name}")
    send_form "#{path}/aim", from: monday, band: "to10", operation: "subtract"
    expect(week.goal.operation).to eq("subtract")
  end

  it "takes what the class knows already for no news, and nothing that there is not" do
    send_form "#{path}/knows", from: monday, "knows[]": %w[twins dragons]
    expect(room.refresh.settings["knows"]).to eq(["twins"])
    course = room.lesson_for(monday).course
    parts = [course.plan("twins"), course.plan("turn_around")]
    fresh = Records::ActivityHistory.new(room, room.today).new_things
    expect(parts.map { |part| fresh[part.id].map(&:first).include?("activity") }).to eq([false, true])
    expect(get("#{path}?from=#{monday}").body).to include("What the class knows already")
    send_form "#{path}/knows", from: monday, knows: "twins"
    expect(last_response.status).to eq(302)
  end

  it "says over the term what is due again, and brings it back" do
    monday_before = monday - 14
    part = room.lesson_for(monday_before).course.plan("twins")
    Records::PartRun.create(part_id: part.id, started_at: Time.now, ended_at: Time.now)
    due = Records::ActivityHistory.new(room, room.today).due_again(before: room.today + 1)
    expect(due.transform_values(&:since)).to eq("twins" => monday_before)
    groups = lambda do
      Nokogiri::HTML5(get("#{path}/term").body).css(".due section").to_h do |each|
        [each.at_css("h3").text, each.css("a").map(&:text)]
      end
    end
    expect(groups.call).to eq("This week" => ["Twins"])
    again = lambda do |kind, *days|
      days.each do |day|
        later = room.lesson_for(day).course.plan(kind)
        Records::PartRun.create(part_id: later.id, started_at: Time.now, ended_at: Time.now)
      end
    end
    again.call("twins", monday - 12, monday - 7)
    again.call("domino_sums", monday - 28, monday - 26, monday - 21, monday - 7)
    expect(groups.call).to eq("Soon" => ["Twins"], "Safe" => ["Domino sums"])
  end

  it "says when an adult has ten minutes: when the others practise, for whoever counts everything below the range" do
    recorder = Records::Recorder.new(room, teacher[0])
    hear = lambda do |child, parts, code|
      recorder.record(child: child, problem: pose(room, parts), code: code, happened_at: Time.now - 60,
                      client_key: SecureRandom.uuid)
    end
    ada, *others = room.children
    others.each { |child| 3.times { |more| hear.call(child, [9, 4 + more], "make_ten") } }
    4.times { |more| hear.call(ada, [4 + more, 3 - (more % 2)], "count_all") }
    week.aim("I can make ten first and then add the rest.", band: "bridge", operation: "add")
    send_form "#{path}/propose", from: monday
    told = squeezed(get("#{path}?from=#{monday}"))[%r{Ten minutes with an adult</strong>,(.*?)</li>}, 1]
    times = [monday, monday + 2].map do |day|
      before = week.parts_on(day).take_while { |part| part.details.purpose != "practise" }.sum(&:minutes)
      expect(before).to be_positive
      hour, minute = room.setting("starts").split(":").map(&:to_i)
      (Time.utc(2026, 1, 1, hour, minute) + (before * 60)).strftime("%-H:%M")
    end
    expect(told.strip).to eq("Monday #{times[0]} and Wednesday #{times[1]}, while the others practise: Ada")
  end

  it "tells the teacher of an invented child where a part brings out a slip" do
    course = room.start_lesson(room.today).course
    part = course.plan("story_time", details: { "slip" => "start_counted", "why" => "Ada and Bo", "count" => 0 })
    part.items.add([Rungs::Activity::POSED.data_for(Rungs::Problem.from_story("add_to.result", [6, 3]), "6 and 3")])
    course.go(course.part(part.id))
    body = squeezed(get("/conduct/#{room.id}"))
    expect(body).to match(/says that 6 \+ 3 is 8\. What may \w+ have done\?.*Ada and Bo/)
    expect(get("/board/#{room.id}").body).not_to include("says that")
  end

  it "offers a wider range where the class is ready, and remembers whether it was taken or left" do
    send_form "#{path}/aim", from: monday, band: "to10", operation: "add"
    hear_everybody(room, teacher[0], on: [room.today - 1, room.today], code: "part_whole")
    expect(squeezed(get("#{path}?from=#{monday}"))).to include("5 of 5 are ready for ten and some")
    send_form "#{path}/range", from: monday
    expect(get("#{path}?from=#{monday}").body).not_to include("are ready for")
    room.refresh.merge_settings("stay" => nil)
    get "#{path}?from=#{monday}"
    send_form "#{path}/range", from: monday, open: "1"
    expect(week.current_aim).to include(band: "teens")
    send_form "#{path}/range", from: monday, open: "1"
    expect(last_response.status).to eq(422)
  end

  it "takes days without school from a calendar's file, after showing them" do
    day = monday + 1
    lines = ["BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//x//x//EN", "BEGIN:VEVENT", "UID:1", "SUMMARY:Harbour day",
             "DTSTART;VALUE=DATE:#{day.strftime('%Y%m%d')}", "DTEND;VALUE=DATE:#{(day + 2).strftime('%Y%m%d')}",
             "END:VEVENT", "BEGIN:VEVENT", "UID:2", "SUMMARY:A meeting", "DTSTART:#{day.strftime('%Y%m%d')}T080000Z",
             "DTEND:#{day.strftime('%Y%m%d')}T090000Z", "END:VEVENT", "END:VCALENDAR"]
    file = ->(text) { Rack::Test::UploadedFile.new(StringIO.new(text), "text/calendar", original_filename: "a.ics") }
    send_form "#{path}/off", from: monday, file: file.call("#{lines.join("\r\n")}\r\n")
    expect(last_response.body).to include("Harbour day")
    expect(last_response.body).not_to include("A meeting")
    expect(room.refresh.off?(day)).to be(false)
    send_form "#{path}/off/keep", from: monday, "days[]": [day.iso8601, (day + 1).iso8601]
    expect([day, day + 1, day + 2].map { |each| room.refresh.off?(each) }).to eq([true, true, false])
    planned = Records::Proposal.new(Records::Week.new(room, monday), room.today).outlook.check_ins.keys
    expect([planned.size.positive?, planned & [day, day + 1]]).to eq([true, []])
    ["", "nothing of the kind", "BEGIN:VCALENDAR"].each do |text|
      send_form "#{path}/off", from: monday, file: file.call(text)
      expect([last_response.status, last_response.body]).to match([422, include("file")])
    end
  end
end
