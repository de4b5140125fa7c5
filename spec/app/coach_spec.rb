# frozen_string_literal: true

require "app_helper"

# A coach's classes by week, visits, and training the ear.
RSpec.describe "A coach" do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:coach) { make_teacher(children: %w[Zed])[0] }
  let(:path) { "/coach/#{room.id}" }

  before do
    teacher[0].update(name: "Ada R")
    coach.update(name: "Cora")
    Records::Membership.dataset.insert(account_id: coach.id, classroom_id: room.id, role: "coach")
  end

  def hear(account, role, code, posed, child: room.children.first, visit: nil)
    recorder = Records::Recorder.new(room, account, role: role, visit: visit)
    recorder.record(child: child, problem: posed, code: code, happened_at: Time.now, client_key: SecureRandom.uuid)
  end

  def plan(**more)
    as(coach) do
      send_form "#{path}/visits", day: room.today.to_s, aim: "I can make ten", question: "Who says the ten?", **more
    end
    Records::Visit.last
  end

  it "sees how many children work on which rung by week, and who moved, in classes that invited, each by itself" do
    hear_everybody(room, teacher[0])
    as(coach) do
      expect(get("/coach/?operation=add&band=to10").body).to include("Room 9", 'class="river"', "Count on 5.")
      body = get("#{path}?operation=add&band=to10").body
      expect(body).to include("Count on 5.", "Plan a visit").and not_include("Zed")
      expect(get("#{path}?band=teens").body).to include("Nobody heard enough yet")
      expect(get("/coach/?band=x").status).to eq(422)
    end
    as(make_teacher[0]) do
      expect(get("/coach/").body).to include("The classes that invite you as a coach stand here")
      expect(get(path).status).to eq(404)
    end
  end

  it "counts each week what stood at its end" do
    posed = Array.new(3) { |time| pose(room, [4 + time, 2], at: Time.now - (15 * 86_400), day: room.today - 15) }
    posed.each do |problem|
      Records::Recorder.new(room, teacher[0]).record(child: room.children.first, problem: problem, code: "count_on",
                                                     happened_at: problem.posed_at + 60, client_key: SecureRandom.uuid)
    end
    weeks = Records::River.new(room, "add", "to10", room.today).weeks
    expect(weeks.map(&:sum)).to eq(([0] * 7) + [1, 1, 1])
    expect(weeks.last).to eq([0, 1, 0, 0, 0])
  end

  it "listens in a visit without the board, which its teacher has" do
    plan
    posed = pose(room)
    as(coach) do
      send_form "#{path}/visits/#{Records::Visit.last.id}/begin"
      expect(get("/listen/#{room.id}?problem=#{posed.id}").body).to include('id="rungs"').and not_include("data-board=")
    end
    as(teacher[0]) { expect(get("/listen/#{room.id}?problem=#{posed.id}").body).to include("data-board=") }
  end

  it "shows on no page what the other of a visit took down, until one's own is in or it is over" do
    ada = room.children.first
    hear_everybody(room, teacher[0])
    plan(children: [ada.id.to_s])
    as(coach) { send_form "#{path}/visits/#{Records::Visit.last.id}/begin" }
    visit = Records::Visit.last
    posed = pose(room, [9, 5], at: Time.now + 1)
    child = "/climb/#{room.id}/children/#{ada.id}?operation=add&band=bridge"
    pages = [child, "/climb/#{room.id}/children/#{ada.id}/records", "/back/#{room.id}", "/today/#{room.id}"]
    Timecop.travel(Time.now + 60)
    text = ->(page) { Nokogiri::HTML5(get(page).body).at_css("main").text.gsub(/\s+/, " ") }
    seen = ->(who) { as(who) { pages.map(&text) } }
    seen.call(coach) # what is explained once
    before = seen.call(coach)
    hear(teacher[0], "teacher", "make_ten", posed)
    # That somebody was heard is no secret, how is one.
    counted = ->(told) { told.map { |page| page.gsub(/0 children heard|1 child heard/, "") } }
    expect(counted.call(seen.call(coach))).to eq(counted.call(before))
    expect(seen.call(teacher[0])[1]).to include("make ten")
    hear(coach, "coach", "count_all", posed, visit: visit)
    expect(seen.call(coach)[1]).to include("make ten")
    other = pose(room, [8, 5], at: Time.now + 1)
    hear(coach, "coach", "count_all", other, visit: visit)
    expect(seen.call(teacher[0])[1]).not_to include("8 + 5")
    visit.refresh.end_now
    expect(seen.call(teacher[0])[1]).to include("8 + 5")
  end

  it "visits: records only while one goes on, blind to the other, and after it both stand side by side" do
    shown = plan(children: [room.children.first.id.to_s])
    expect(shown.whom.map(&:name)).to eq(%w[Ada])
    posed = pose(room)
    record = { child_id: room.children.first.id, problem_id: posed.id, code: "part_whole" }
    as(coach) do
      send_form "/listen/#{room.id}/records", htmx: true, client_key: SecureRandom.uuid, **record
      expect(last_response.status).to eq(403)
      expect(get("#{path}/visits/#{shown.id}").body).to include("Who says the ten?", "Begin to listen", "Ada")
      send_form "#{path}/visits/#{shown.id}/begin"
      hear(teacher[0], "teacher", "count_on", posed)
      expect(get("/listen/#{room.id}?problem=#{posed.id}").body).not_to include("heard on this problem")
      send_form "/listen/#{room.id}/records", htmx: true, client_key: SecureRandom.uuid, **record
      expect(last_response.status).to eq(200)
      send_form "#{path}/visits/#{shown.id}/end"
      send_form "/listen/#{room.id}/records", htmx: true, client_key: SecureRandom.uuid, **record
      expect(last_response.status).to eq(403)
      expect(squeezed(get("#{path}/visits/#{shown.id}"))).to include("0 of 1 alike", "part–whole", "count on")
    end
    counts = room.observations_dataset.standing.all
    expect(counts.map(&:account_id)).to eq([teacher[0].id])
  end

  it "says on Listen that it is a visit, whose list it is, and ends it there" do
    shown = plan(children: [room.children.last.id.to_s, Records::Child.exclude(classroom_id: room.id).first.id.to_s])
    expect(shown.whom).to eq([room.children.last])
    expect(shown.children.to_a).to eq([room.children.last.id])
    listen = "/listen/#{room.id}?problem=#{pose(room).id}"
    as(coach) { send_form "#{path}/visits/#{shown.id}/begin" }
    [coach, teacher[0]].each do |who|
      as(who) do
        page = Nokogiri::HTML5(get(listen).body)
        expect(page.at_css(".visit-bar").text).to include("A visit.", room.children.last.name, "Who says the ten?")
        expect(page.at_css("#children .child")["data-name"]).to eq(room.children.last.name)
      end
    end
    as(teacher[0]) do
      send_form "#{path}/visits/#{shown.id}/end"
      expect(get(listen).body).not_to include("visit-bar")
    end
    expect(shown.refresh.going_on?).to be(false)
  end

  it "shows the teacher nothing of what a coach heard before both are in" do
    visit = plan.tap(&:begin_now)
    posed = pose(room)
    hear(coach, "coach", "part_whole", posed, visit: visit)
    as(teacher[0]) do
      body = get("/listen/#{room.id}?problem=#{posed.id}").body
      expect(body).not_to include("heard on this problem", "part–whole</")
      hear(teacher[0], "teacher", "count_on", posed)
      expect(get("/listen/#{room.id}?problem=#{posed.id}").body).to include("Ada R: count on, Cora: part–whole")
    end
  end

  it "marks today's visit among the classes until it has ended, and no other day's" do
    marked = -> { Nokogiri::HTML5(get("/coach/").body).css("a.marker").map(&:text) }
    shown = plan
    as(coach) do
      expect(marked.call).to match([/\AVisit of /])
      shown.refresh.begin_now
      expect(marked.call.size).to eq(1)
      shown.refresh.end_now
      expect(marked.call).to eq([])
      shown.update(ended_at: nil, day: room.today - 1)
      expect(marked.call).to eq([])
    end
  end

  it "agrees on one next step, which both say yes to, and which is shown before the next visit" do
    first = plan
    first.begin_now
    first.end_now
    there = "#{path}/visits/#{first.id}"
    as(coach) { send_form "#{there}/next", next_step: "Ask how first" }
    as(teacher[0]) do
      expect(get(there).body).to include("Ask how first", "I agree")
      send_form "#{there}/agree"
      expect(get(there).body).to include("Agreed by both")
      send_form "#{there}/begin"
      expect(last_response.status).to eq(422)
    end
    following = plan
    as(coach) do
      expect(get("#{path}/visits/#{following.id}").body).to include("Last time you agreed on", "Ask how first")
    end
  end

  it "keeps a visit to its coach and the class's teachers, and forgets a child in it who is erased" do
    shown = plan(children: [room.children.first.id.to_s], question: "Does Ada say ten?")
    other = make_teacher[0]
    Records::Membership.dataset.insert(account_id: other.id, classroom_id: room.id, role: "coach")
    as(other) { expect(get("#{path}/visits/#{shown.id}").status).to eq(404) }
    Records::Erasing.new(room.children.first).call
    expect([shown.refresh.children.to_a, shown.question]).to match([[], not_include("Ada")])
  end

  it "leaves no name in a visit when the names of a class that is over go" do
    shown = plan(question: "Does Ada say ten?")
    room.update(ends_on: room.today - 200, told_on: room.today - 60)
    expect(Records::LettingGo.call.map(&:does)).to include(/were removed/)
    expect(shown.refresh.question).to eq("Does somebody say ten?")
  end

  it "is asked for a visit by a teacher, among the class's coaches" do
    as(teacher[0]) do
      page = Nokogiri::HTML5(get(path).body)
      expect(page.css("select[name=with] option").map { |option| option.text.strip }).to eq(%w[Cora])
      send_form "#{path}/visits", day: room.today, aim: "", question: "", with: teacher[0].id
      expect([last_response.status, squeezed]).to match([422, include("Say which coach comes")])
      send_form "#{path}/visits", day: room.today, aim: "", question: "", with: coach.id
      visit = Records::Visit.last
      expect([visit.account_id, squeezed(get(path))]).to match([coach.id, not_include("going on")])
      visit.update(begun_at: Time.now, next_step: "Ask how")
      expect(squeezed(get(path))).to include("Cora, going on, Ask how")
      Records::Membership.dataset.where(account_id: coach.id, classroom_id: room.id).delete
      expect(get(path).body).not_to include('name="with"')
    end
  end

  describe "training the ear" do
    it "keeps who sees the figures, and whether clips are read aloud, as they were chosen" do
      chosen = -> { Records::Ear.new(coach.refresh).then { |ear| [ear.shared?, ear.aloud?] } }
      as(coach) do
        get "/ear/"
        [[true, false], [false, true], [false, false]].each do |shared, aloud|
          send_form "/ear/choices", **{ shared: shared, aloud: aloud }.select { |_, yes| yes }
          expect(chosen.call).to eq([shared, aloud])
        end
      end
    end

    it "tells a pause from a second and a half on, and else what the hands do" do
      told = [1.4, 1.5, 3.0].map do |pause|
        Pages::Ear::ClipPage::Frame.new(words: "9", pause: pause, picture: nil, hands: "a finger up").pause_in_words
      end
      expect(told).to eq(["A finger up", "After 1.5 s, a finger up", "After 3.0 s, a finger up"])
    end

    def clip = Records::Ear.new(coach.refresh).now["clip"]

    it "is twelve clips, each answered once and told with its reason; the figures are one's own" do
      as(coach) do
        expect(get("/ear/").body).to include("Twelve short scenes")
        expect(get("/ear/clip").status).to eq(302)
        12.times do |number|
          send_form "/ear/next"
          body = get("/ear/clip").body
          expect(body).to include("#{number + 1} of 12", 'name="code"')
          expect(body).not_to include(Rack::Utils.escape_html(clip["why"]))
          2.times { send_form "/ear/clip", code: number.zero? ? "guess" : clip["rung"] }
          expect(get("/ear/clip").body).to include(Rack::Utils.escape_html(clip["why"]))
        end
        expect(last_response.body).to match(/1[12] of 12 heard as they were/)
        expect(Records::Ear.new(coach.refresh).pairs.size).to eq(12)
        expect(get("/ear/").body).to match(/1[12] of 12 clips heard as they were/)
      end
      equations = DB[:clips_heard].where(account_id: coach.id).select_map(:clip).map { |each| each["equation"] }
      expect(equations.uniq.size).to eq(12)
      as(teacher[0]) do
        expect(get("/people/#{room.id}").body).not_to include("heard as they were")
        Records::Ear.new(coach.refresh).choose(shared: true, aloud: false)
        expect(get("/people/#{room.id}").body).to include("of 12 clips heard as they were")
        expect(get("/ear/").body).not_to include("heard as they were")
      end
    end

    it "counts in the estimates only where that is chosen, from sixty clips on, as it stood then; and says so" do
      helper = make_teacher[0].tap { |account| account.update(name: "Ben") }
      Records::Membership.dataset.insert(account_id: helper.id, classroom_id: room.id, role: "assistant")
      child = room.children.first
      3.times { |time| hear(helper, "assistant", "part_whole", pose(room, [9, 5 + (time % 3)])) }
      chances = -> { DB[:standings].where(child_id: child.id, scope: "bridge").get(:probabilities).to_a }
      before, ear = chances.call, Records::Ear.new(helper)
      ear.count(true)
      expect([ear.counts?, chances.call]).to eq([false, before])
      30.times do
        %w[part_whole make_ten].each do |heard|
          DB[:clips_heard].insert(account_id: helper.id, clip: Sequel.pg_jsonb({}), code: "make_ten", heard_as: heard,
                                  at: Time.now)
        end
      end
      ear.count(true)
      weighed = chances.call
      expect(weighed[3]).to be > before[3]
      hear(helper, "assistant", "part_whole", pose(room, [8, 6]))
      carried = chances.call
      Records::Ledger.new(room).rebuild
      expect(chances.call.zip(carried)).to all(satisfy { |one, other| (one - other).abs < 1e-9 })
      as(teacher[0]) do
        page = get("/climb/#{room.id}/children/#{child.id}?operation=add&band=bridge")
        expect(squeezed(page)).to include("What Ben took down is weighed")
      end
      ear.count(false)
      expect(Records::Evidence.new(room).estimate(child, "add", "bridge", on: room.today).filter.heard).to eq(4)
      as(helper) { expect(squeezed(get("/ear/"))).to include("From 60 clips on", "30 of 60 clips heard as they were") }
    end

    it "begins anew after twelve, and refuses what is no coding" do
      ear = Records::Ear.new(coach)
      12.times { ear.go_on && ear.answer("count_on") }
      expect([ear.over?, ear.place]).to eq([true, 12])
      ear.go_on
      expect([ear.over?, ear.place, ear.answered?]).to eq([false, 1, false])
      as(coach) { expect(send_form("/ear/clip", code: "by_magic").status).to eq(422) }
    end
  end
end
