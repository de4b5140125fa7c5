# frozen_string_literal: true

require "app_helper"

# Who belongs to a class, and what each may do there.
RSpec.describe "People of a class" do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:child) { room.children.first }
  # By place, who sees its pages and who changes something there: t(eacher), a(ssistant), c(oach). A coach records in a
  # visit alone, and these are outside one.
  let(:allowed) do
    { "/today" => %w[tac ta], "/plan" => %w[tac t], "/lesson" => %w[tac t], "/week" => %w[tac t],
      "/numbers" => %w[tac t], "/board" => %w[ta ta], "/listen" => %w[ta ta], "/find" => %w[tac t],
      "/conduct" => %w[ta ta], "/share" => %w[ta ta], "/check-in" => %w[ta ta], "/from-home" => %w[t t],
      "/photos" => %w[t ta], "/climb" => %w[tac tac], "/hear" => %w[tac t], "/groups" => %w[tc t],
      "/back" => %w[tac tac], "/notes" => %w[t t], "/sheets" => %w[tac tac], "/search" => %w[tac tac],
      "/records" => %w[t t], "/people" => %w[t t], "/pictures" => %w[tac tac], "/coach" => %w[tc tc],
      "/own" => %w[tac t], "/items" => %w[tac t] }
  end
  let(:but) do
    { %r{/lesson/\d+/(go|unfinish|resume)\z} => "ta", %r{/listen/\d+/seats\z} => "t", %r{/photos/.*/delete\z} => "t",
      %r{/sheets/.*/enter\z} => "ta", %r{/board/.*/events\z} => "ta", %r{/people/\d+/leave\z} => "tac" }
  end

  def member(role, name: role.capitalize)
    account = make_teacher(children: %w[Zed])[0]
    account.update(name: name)
    Records::Membership.dataset.insert(account_id: account.id, classroom_id: room.id, role: role)
    account
  end

  # Every address of every tab, with a class and something or other in the place of what is asked for.
  def routes
    Pages::Places::ALL.select { |_, tab| tab::Routes < Pages::Shared::Tab }.flat_map do |place, tab|
      tab::Routes.routes.slice("GET", "POST").flat_map do |verb, all|
        all.map { |pattern, *| [place, verb, "#{place}#{filled(pattern)}"] }
      end
    end.uniq
  end

  def filled(pattern)
    pattern.to_s.sub(":room", room.id.to_s).gsub(/:child\b/, child.id.to_s).gsub(/:as\b/, "svg").gsub(/:\w+/, "1")
           .delete("?*")
  end

  def may(place, verb, path)
    _, other = but.find { |pattern, _| path.match?(pattern) }
    other || allowed.fetch(place)[verb == "GET" ? 0 : 1]
  end

  def try(verb, path) = verb == "GET" ? get(path) : send_form(path)

  it "may do what the table says, on every address, and nothing where they do not belong", :deep do
    everything = routes.reject { |_, _, path| path.match?(%r{/leave\z|/members/|/end\z|/away\z|/events\z|\A/coach/\z}) }
    expect(everything.size).to be > 100
    { "assistant" => "a", "coach" => "c" }.each do |role, letter|
      as(member(role)) do
        off = everything.reject do |place, verb, path|
          (try(verb, path).status == 403) == !may(place, verb, path).include?(letter)
        end
        expect([role, off]).to eq([role, []])
      end
    end
    as(make_teacher[0]) do
      expect(everything.map { |_, verb, path| try(verb, path).status }.uniq).to eq([404])
    end
  end

  it "shows an assistant no ladder and no child's page where the class has it so" do
    hear_everybody(room, teacher[0])
    helper = member("assistant")
    as(helper) do
      expect(get("/climb/#{room.id}").status).to eq(200)
      expect(get("/listen/#{room.id}").body).to match(/ladder-#{child.id}"><svg/)
      room.merge_settings("assistant_sees" => "no")
      expect([get("/climb/#{room.id}").status, get("/back/#{room.id}").status]).to eq([403, 403])
      expect(get("/listen/#{room.id}").body).not_to match(/ladder-#{child.id}"><svg/)
      expect(get("/today/#{room.id}").body).not_to include("/climb/#{room.id}")
    end
  end

  it "lets an assistant take photos of drawings, and look at none; two classes of one name are told apart" do
    posed, helper = pose(room), member("assistant")
    record = Records::Recorder.new(room, helper, role: "assistant")
                              .record(child: child, problem: posed, code: "count_on", happened_at: Time.now,
                                      client_key: SecureRandom.uuid)
    allow(Records::Photo).to receive(:shrink).and_return("\xFF\xD8\xFFx".b)
    as(helper) do
      sent = Rack::Test::UploadedFile.new(StringIO.new("x"), "image/jpeg", original_filename: "a.jpg")
      send_form "/photos/#{room.id}/records/#{record.first_key}", htmx: true, client_key: SecureRandom.uuid, photo: sent
      expect([last_response.status, last_response.body]).to eq([200, "1 photo"])
      expect(get("/photos/#{room.id}/#{Records::Photo.last.id}").status).to eq(403)
      expect(squeezed(get("/account"))).to include("Room 9, Teacher", "assistant, 5 children")
    end
  end

  it "looks on where somebody else plans: nothing there can be pressed" do
    as(member("coach")) do
      body = get("/week/#{room.id}").body
      expect(body).to include('<fieldset class="looks-only" disabled>', "You look on here as a coach")
      expect(get("/today/#{room.id}").body).not_to include(">Records</a>")
    end
    as(teacher[0]) { expect(get("/week/#{room.id}").body).not_to include("looks-only") }
  end

  it "is invited by a code that works once, within a week, in an account of one's own" do
    sign_in teacher[0]
    get "/people/#{room.id}"
    send_form "/people/#{room.id}/invitations", role: "assistant"
    invitation = Records::Invitation.last
    expect(get("/people/#{room.id}").body).to include(Records::ShortCode.written(invitation.code))
    guest = make_teacher(children: [])[0]
    as(guest) do
      get "/invite/?code=#{Records::ShortCode.written(invitation.code).downcase}"
      follow_redirect!
      expect(squeezed).to include("invites you to Room 9", "conduct the lesson and its board", "Not: plan")
      send_form "/invite/#{invitation.code}"
      expect(URI(last_response.headers["location"]).path).to eq("/today/#{room.id}")
      expect(get("/today/#{room.id}").status).to eq(200)
      expect(get("/account").body).to include("assistant, 5 children")
    end
    as(make_teacher[0]) do
      expect(get("/invite/#{invitation.code}").body).to include("was taken up already")
      send_form "/invite/#{invitation.code}"
      expect([last_response.status, last_response.body]).to match([422, /taken up already/])
    end
  end

  it "tells the second of two who take one invitation at once that it is taken" do
    invitation = Records::Invitation.make(room, teacher[0], "assistant")
    sooner, later = Array.new(2) { make_teacher(children: [])[0] }
    allow(Records::Invitation).to receive(:by_code).and_wrap_original do |found, *typed|
      found.call(*typed).tap { invitation.take(sooner) }
    end
    as(later) do
      send_form "/invite/#{invitation.code}"
      expect([last_response.status, last_response.body]).to match([422, /taken up already/])
    end
    expect(later.role_in(room)).to be_nil
  end

  it "refuses an invitation that is late, called back or made up, and keeps one that a member opens" do
    late, back, kept = Array.new(3) { Records::Invitation.make(room, teacher[0], "coach") }
    late.update(at: Time.now - Records::Invitation::KEPT - 60)
    sign_in teacher[0]
    get "/people/#{room.id}"
    send_form "/people/#{room.id}/invitations/#{back.id}/away"
    expect(get("/invite/#{kept.code}").body).to include("You are a teacher there already")
    send_form "/invite/#{kept.code}"
    expect([last_response.status, last_response.body]).to match([422, include("You are a teacher there already")])
    expect(kept.refresh.state).to eq(:good)
    guest = make_teacher[0]
    as(guest) do
      { late => "is over", back => "called back" }.each do |invitation, words|
        expect(get("/invite/#{invitation.code}").body).to include(words)
        expect(send_form("/invite/#{invitation.code}").status).to eq(422)
      end
      expect(get("/invite/AAAAAAAA").body).to include("There is no such code")
      expect(get("/invite/x").status).to eq(422)
      expect(guest.role_in(room)).to be_nil
    end
  end

  it "asks somebody new to sign in or make an account first, without a class of their own, and comes back" do
    invitation = Records::Invitation.make(room, teacher[0], "assistant")
    get "/invite/#{invitation.code}"
    expect(URI(last_response.headers["location"]).path).to eq("/account/login")
    expect(get("/account/login").body).to include("You are invited to a class")
    expect(get("/account/create-account").body).not_to include("What the class is called")
    send_form "/account/create-account", name: "Ben", email: "ben#{SecureRandom.hex(4)}@harbour.example",
                                         password: "a lantern on the quay"
    get "/"
    expect(URI(last_response.headers["location"]).path).to eq("/invite/#{invitation.code}")
    get "/invite/#{invitation.code}"
    send_form "/invite/#{invitation.code}"
    ben = Records::Account.last
    expect([ben.name, ben.role_in(room), ben.classrooms.size]).to eq(["Ben", "assistant", 1])
  end

  it "makes a class for somebody invited who names one" do
    get "/invite/#{Records::Invitation.make(room, teacher[0], 'assistant').code}"
    get "/account/create-account"
    send_form "/account/create-account", name: "Bea", email: "bea#{SecureRandom.hex(4)}@harbour.example", room: "Quay",
                                         password: "a lantern on the quay"
    expect(Records::Account.last.classrooms.map(&:name)).to eq(%w[Quay])
  end

  it "is ended at once; the last teacher stays, and can go when there is another" do
    helper = member("assistant")
    sign_in teacher[0]
    get "/people/#{room.id}"
    send_form "/people/#{room.id}/members/#{teacher[0].id}/end"
    expect(last_response.status).to eq(422)
    send_form "/people/#{room.id}/members/#{helper.id}/end"
    as(helper) { expect(get("/today/#{room.id}").status).to eq(404) }
    second = member("teacher")
    as(second) do
      get "/account"
      send_form "/people/#{room.id}/leave"
      expect(second.role_in(room)).to be_nil
    end
    done = Records::Audit.of_class(room, most: 9).map(&:what)
    expect(done).to include("ended what somebody was in the class", "left the class")
  end

  it "takes a class with the account of its last teacher, not before, whoever else is left in it" do
    second, helper = member("teacher"), member("assistant")
    second.leave_classrooms
    expect(Records::Classroom[room.id]).not_to be_nil
    helper.leave_classrooms
    expect(Records::Classroom[room.id]).not_to be_nil
    Records::Membership.where(account_id: second.id, classroom_id: room.id).delete
    teacher[0].leave_classrooms
    expect(Records::Classroom[room.id]).to be_nil
  end

  it "notes in the log, once a day, that somebody else than a teacher looked; a coach reads no log of the class" do
    coach = member("coach", name: "Cora")
    as(coach) { 3.times { get "/climb/#{room.id}" } }
    looks = Records::Audit.where(classroom_id: room.id, what: "looked").all
    expect(looks.map { |row| [row.account_id, row.times] }).to eq([[coach.id, 3]])
    as(teacher[0]) { expect(get("/account/log").body).to include("looked, without being its teacher") }
    Records::Audit.note("settings", account_id: teacher[0].id, classroom: room)
    expect(Records::Audit.of(coach).map(&:what)).not_to include("changed how the class does things")
  end

  describe "at the same time" do
    let(:helper) { member("assistant", name: "Ben") }
    let(:posed) { pose(room) }

    before { teacher[0].update(name: "Ada") }

    def hear(account, role, code, at: Time.now, on: posed)
      Records::Recorder.new(room, account, role: role).record(child: child, problem: on, code: code, happened_at: at,
                                                              client_key: SecureRandom.uuid)
    end

    def standing = room.observations_dataset.standing.all
    def words = Records::HeardByTwo.words(room, standing).values

    it "two answers within ten minutes are one heard twice: the teacher's counts, whoever was first" do
      [[helper, "assistant"], [teacher[0], "teacher"]].permutation.each do |order|
        DB[:observations].where(classroom_id: room.id).delete
        order.each { |account, role| hear(account, role, role == "teacher" ? "count_on" : "part_whole") }
        expect(standing.map { |each| [each.account_id, each.code] }).to eq([[teacher[0].id, "count_on"]])
        expect(words).to eq(["Ada: count on, Ben: part–whole"])
        expect(DB[:tallies].where(child_id: child.id).get(:records)).to eq(1)
        estimate = Records::Evidence.new(room).all(child)
        expect(estimate.map { |each| each.record.rung }).to eq([2])
      end
    end

    it "stands in Look back, to talk about" do
      hear(teacher[0], "teacher", "count_on")
      hear(helper, "assistant", "part_whole")
      as(teacher[0]) do
        expect(squeezed(get("/back/#{room.id}"))).to include("Heard by two", "Ada: count on, Ben: part–whole")
      end
    end

    it "the first counts where neither is the teacher's; both alike are said so" do
      third = member("assistant", name: "Cleo")
      hear(helper, "assistant", "count_on")
      hear(third, "assistant", "count_on")
      expect(standing.map(&:account_id)).to eq([helper.id])
      expect(words).to eq(["heard by two: both count on"])
    end

    it "is two answers after ten minutes, on another problem, or by one person" do
      hear(teacher[0], "teacher", "count_on")
      hear(helper, "assistant", "count_on", at: Time.now + 601)
      hear(helper, "assistant", "count_on", on: pose(room, [6, 3]))
      hear(teacher[0], "teacher", "count_on")
      expect([standing.size, words]).to eq([4, []])
    end

    it "what stood beside counts again when the other is undone" do
      hear(helper, "assistant", "part_whole")
      counted = hear(teacher[0], "teacher", "count_on")
      Records::Recorder.new(room, teacher[0]).undo(counted.first_key, client_key: SecureRandom.uuid)
      expect(standing.map { |each| [each.account_id, each.code] }).to eq([[helper.id, "part_whole"]])
      expect(DB[:tallies].where(child_id: child.id).get(:records)).to eq(1)
    end

    it "changes and undoes only one's own, as an assistant; a teacher everybody's" do
      theirs, own = hear(teacher[0], "teacher", "count_on"),
hear(helper, "assistant", "count_on", on: pose(room, [6, 3]))
      as(helper) do
        get "/listen/#{room.id}?problem=#{posed.id}"
        send_form "/listen/#{room.id}/records/#{theirs.first_key}/undo", client_key: SecureRandom.uuid
        expect(last_response.status).to eq(404)
        send_form "/listen/#{room.id}/records/#{own.first_key}/undo", client_key: SecureRandom.uuid
        expect(last_response.status).to eq(302)
      end
      expect(standing.map(&:first_key)).to eq([theirs.first_key])
      expect(Records::Recorder.new(room, teacher[0]).correct(theirs.first_key, client_key: SecureRandom.uuid,
                                                                               code: "make_ten").code)
        .to eq("make_ten")
    end

    it "shares today's list out, half each by whom one has heard less, changed by a tap; nothing where one listens" do
      room.children.first(2).each do |each|
        Records::Recorder.new(room, teacher[0]).record(child: each, problem: pose(room, [6, 3]), code: "count_on",
                                                       happened_at: Time.now - 90_000, client_key: SecureRandom.uuid)
      end
      posed
      list = -> { Records::SharedList.new(room.lesson_on(room.today)) }
      as(helper) do
        expect(get("/listen/#{room.id}").body).not_to include("share-by")
        send_form "/listen/#{room.id}/share", with: teacher[0].id
        shares = list.call.shares(room.children)
        expect(shares.values.tally).to eq({ helper.id => 3, teacher[0].id => 2 })
        expect(shares.values_at(*room.children.first(2).map(&:id))).to eq([helper.id] * 2)
        expect(squeezed(get("/listen/#{room.id}"))).to include("Ada is heard by Ben; give to the next")
        send_form "/listen/#{room.id}/share", child: child.id
        expect(list.call.shares(room.children)[child.id]).to eq(teacher[0].id)
        send_form "/listen/#{room.id}/share", with: make_teacher[0].id
        expect(last_response.status).to eq(404)
        posed.lesson.update(held_on: room.today - 1)
        get "/listen/#{room.id}?problem=#{posed.id}"
        expect(squeezed).to include("9 and 5").and not_include("heard by")
      end
    end

    it "counts who takes something down in today's lesson among those who listen, where several belong to the class" do
      helper
      form = { child_id: child.id, problem_id: posed.id, code: "count_on" }
      [helper, teacher[0]].each do |account|
        as(account) { send_form "/listen/#{room.id}/records", htmx: true, client_key: SecureRandom.uuid, **form }
      end
      expect(Records::SharedList.new(room.lesson_on(room.today)).people).to eq([helper.id, teacher[0].id])
    end

    it "tells the others who is asked now, and keeps nothing of it" do
      posed
      heard = Queue.new
      there = { timeout: 5, after_listen: ->(_) { heard << nil } }
      listening = Thread.new { DB.listen(Records::Observation::CHANNEL, **there) { |*, told| heard << told } }
      heard.pop
      as(helper) { expect(send_form("/listen/#{room.id}/open", htmx: true, child: child.id).status).to eq(204) }
      listening.join
      told = JSON.parse(heard.pop)
      expect(told).to include("lesson" => posed.lesson_id, "open" => child.id, "by" => "B",
                              "who" => "account-#{helper.id}")
    end

    it "says beside a record what the other heard, and on a name by whom it was" do
      hear(helper, "assistant", "part_whole")
      as(teacher[0]) do
        expect(get("/listen/#{room.id}?problem=#{posed.id}").body).to include('aria-label="heard on this problem by B"')
        form = { child_id: child.id, problem_id: posed.id, code: "count_on", client_key: SecureRandom.uuid }
        send_form "/listen/#{room.id}/records", htmx: true, **form
        expect(squeezed).to include("Ada: count on, Ben: part–whole")
      end
    end
  end
end
