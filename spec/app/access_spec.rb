# frozen_string_literal: true

require "app_helper"

RSpec.describe "Who may see what" do
  let(:teacher) { make_teacher }
  let(:stranger) { make_teacher }
  let(:room) { teacher[1] }
  let(:posed) { pose(room) }
  let(:child) { room.children.first }

  def pages
    ["/today/#{room.id}", "/plan/#{room.id}", "/board/#{room.id}", "/board/#{room.id}?problem=#{posed.id}",
     "/listen/#{room.id}?problem=#{posed.id}", "/climb/#{room.id}",
     "/climb/#{room.id}/children/#{child.id}", "/climb/#{room.id}/children/#{child.id}/reason",
     "/account/classes/#{room.id}", "/find/#{room.id}", "/conduct/#{room.id}",
     "/share/#{room.id}?problem=#{posed.id}", "/check-in/#{room.id}/#{child.id}",
     "/listen/#{room.id}/hearing?problem=#{posed.id}&heard=9+10", "/listen/#{room.id}/remote?problem=#{posed.id}",
     "/board/#{room.id}/lessons/#{posed.lesson_id}/screen", "/lesson/#{room.id}",
     "/listen/#{room.id}/seats", "/numbers/#{room.id}", "/hear/#{room.id}", "/groups/#{room.id}", "/back/#{room.id}",
     "/notes/#{room.id}/#{child.id}", "/notes/#{room.id}/#{child.id}/a4.pdf", "/sheets/#{room.id}",
     "/sheets/#{room.id}/sheet.pdf?sheet=practice", "/sheets/#{room.id}/preview.png?sheet=practice",
     "/week/#{room.id}", "/week/#{room.id}/term", "/search/#{room.id}?q=a", "/sheets/#{room.id}/enter",
     "/climb/#{room.id}/weeks", "/climb/#{room.id}/children/#{child.id}/records",
     "/pictures/#{room.id}/#{posed.part_id}/0/0.svg", "/from-home/#{room.id}", "/records/#{room.id}",
     "/records/#{room.id}/answers.csv",
     "/records/#{room.id}/answers.jsonl", "/records/#{room.id}/statements.json", "/records/#{room.id}/next.pdf",
     "/records/#{room.id}/child?child=#{child.id}&as=json", "/records/#{room.id}/child?child=#{child.id}&as=pdf"]
  end

  it "shows every page to its own teacher, none with an inline script or style" do
    sign_in teacher[0]
    pages.each do |path|
      expect([path, get(path).status]).to eq([path, 200])
      expect(last_response.body).not_to match(/<script(?![^>]*src=)|\sstyle="|\son[a-z]+="|javascript:/)
    end
  end

  it "answers 404 to another teacher, for every page and every change" do
    record = Records::Recorder.new(room, teacher[0]).record(child: child, problem: posed, code: "count_on",
                                                            client_key: SecureRandom.uuid, happened_at: Time.now)
    sign_in stranger[0]
    pages.each { |path| expect([path, get(path).status]).to eq([path, 404]) }
    changes = ["/listen/#{room.id}/records", "/listen/#{room.id}/records/#{record.first_key}/undo",
               "/plan/#{room.id}/problems", "/lesson/#{room.id}/go",
               "/lesson/#{room.id}/parts/1", "/lesson/#{room.id}/usual", "/lesson/#{room.id}/resume",
               "/account/classes/#{room.id}/settings", "/listen/#{room.id}/seats",
               "/listen/#{room.id}/order", "/photos/#{room.id}/records/#{record.first_key}",
               "/photos/#{room.id}/1/delete", "/numbers/#{room.id}", "/hear/#{room.id}/away",
               "/groups/#{room.id}/move", "/groups/#{room.id}/apart", "/groups/#{room.id}/save",
               "/notes/#{room.id}/#{child.id}", "/notes/#{room.id}/#{child.id}/again",
               "/climb/#{room.id}/children/#{child.id}/ask", "/account/classes/#{room.id}",
               "/week/#{room.id}/propose", "/week/#{room.id}/move", "/week/#{room.id}/day", "/week/#{room.id}/range",
               "/week/#{room.id}/knows", "/from-home/#{room.id}", "/from-home/#{room.id}/1/away",
               "/records/#{room.id}/class", "/records/#{room.id}/in", "/records/#{room.id}/in/1",
               "/records/#{room.id}/handed", "/records/#{room.id}/plans", "/records/#{room.id}/offers",
               "/records/#{room.id}/offers/1/away", "/records/#{room.id}/come?code=AAAAAAAA",
               "/records/#{room.id}/brought/1/away", "/records/#{room.id}/end",
               "/week/#{room.id}/repeat", "/week/#{room.id}/calendar", "/week/#{room.id}/shelf",
               "/week/#{room.id}/off", "/week/#{room.id}/off/keep", "/week/#{room.id}/parts/1/exchange",
               "/lesson/#{room.id}/parts/1/back", "/lesson/#{room.id}/unfinish", "/plan/#{room.id}/draft",
               "/plan/#{room.id}/draft/forget", "/account/classes/#{room.id}/list",
               "/account/classes/#{room.id}/children/#{child.id}", "/account/classes/#{room.id}/order",
               "/account/classes/#{room.id}/children/#{child.id}/back", "/account/classes/#{room.id}/archive",
               "/account/classes/#{room.id}/year",
               "/account/classes/#{room.id}/children", "/account/classes/#{room.id}/children/#{child.id}/leave",
               "/account/classes/#{room.id}/children/#{child.id}/delete",
               "/plan/#{room.id}/equations", "/board/#{room.id}/lessons/#{posed.lesson_id}/commands",
               "/board/#{room.id}/code", "/find/#{room.id}", "/conduct/#{room.id}/do",
               "/conduct/#{room.id}/ways", "/conduct/#{room.id}/thrown", "/conduct/#{room.id}/turn",
               "/share/#{room.id}", "/check-in/#{room.id}/#{child.id}/start",
               "/check-in/#{room.id}/#{child.id}/answers", "/check-in/#{room.id}/#{child.id}/stop",
               "/listen/#{room.id}/records/#{record.first_key}/changes",
               "/listen/#{room.id}/records/#{record.first_key}/probe"]
    get "/account"
    changes.each do |path|
      send_form path, child_id: child.id, problem_id: posed.id, code: "guess", client_key: SecureRandom.uuid,
                      name: "x", names: "x", situation: "add_to.result", "numbers[]": 1
      expect([path, last_response.status]).to eq([path, 404])
    end
    expect(room.observations_dataset.count).to eq(1)
    expect(room.children_dataset.count).to eq(5)
  end

  it "does not let one's own class reach another's children, problems or records" do
    other = make_teacher[1]
    theirs = pose(other)
    sign_in teacher[0]
    get "/listen/#{room.id}?problem=#{posed.id}"
    [{ child_id: other.children.first.id, problem_id: posed.id },
     { child_id: child.id, problem_id: theirs.id }].each do |form|
      send_form "/listen/#{room.id}/records", **form, code: "count_on", client_key: SecureRandom.uuid
      expect(last_response.status).to eq(404)
    end
    expect(get("/listen/#{room.id}?problem=#{theirs.id}").status).to eq(404)
    expect(get("/climb/#{room.id}/children/#{other.children.first.id}").status).to eq(404)
    expect(DB[:observations].where(classroom_id: [room.id, other.id]).count).to eq(0)
  end

  it "sends the signed-out to the sign-in page, and does not swallow their taps" do
    pages.each do |path|
      get path
      expect([last_response.status, last_response.location]).to eq([302, "/account/login"])
    end
    get "/account/login"
    send_form "/listen/#{room.id}/records", htmx: true, child_id: child.id, problem_id: posed.id, code: "count_on",
                                            client_key: SecureRandom.uuid
    expect(last_response.status).to eq(401)
  end

  it "refuses every form without its token, saying nothing was changed" do
    sign_in teacher[0]
    post "/listen/#{room.id}/records", child_id: child.id, problem_id: posed.id, code: "count_on",
                                       client_key: SecureRandom.uuid
    expect(last_response.status).to eq(403)
    expect(last_response.body).to include("nothing was changed")
    post "/account/logout"
    expect(last_response.status).to eq(403)
  end

  it "sends a strict policy and careful cookies" do
    get "/account/login"
    policy = last_response.headers["content-security-policy"]
    expect(policy).to include("default-src 'none'", "script-src 'self'", "style-src 'self'", "frame-ancestors 'none'")
    expect(policy).not_to match(/unsafe|\*/)
    expect(last_response.headers["set-cookie"]).to match(/httponly/i).and match(/samesite=lax/i)
    expect(last_response.headers["x-frame-options"]).to eq("DENY")
  end

  describe "input from nowhere" do
    before { sign_in teacher[0] }

    it "answers 4xx to addresses that cannot be" do
      ["/today/abc", "/today/99999999999999999999999", "/listen/#{room.id}?problem=abc",
       "/climb/#{room.id}/children/x", "/climb/#{room.id}?operation=multiply",
       "/climb/#{room.id}/children/#{child.id}?band=to7", "/today/#{room.id}%00", "/plan/#{room.id}?band=%FF",
       "/plan/#{room.id}?situation=%00", "/plan/#{room.id}?numbers=7",
       "/plan/#{room.id}?numbers[]=x", "/plan/#{room.id}?situation[]=1", "/listen/#{room.id}?problem[x]=1",
       "/nowhere"].each do |path|
        get path
        expect([path, last_response.status]).to eq([path, last_response.status.clamp(400, 499)])
        expect(last_response.body).to include("othing was")
      end
    end

    it "answers 422 to records that cannot be, and keeps none" do
      get "/listen/#{room.id}?problem=#{posed.id}"
      good = { child_id: child.id, problem_id: posed.id, code: "count_on", client_key: SecureRandom.uuid }
      [{ code: "fly" }, { child_id: "x" }, { child_id: 10**20 }, { client_key: "1" },
       { happened_at: "x" * 61 }, { equation: "1 + 1 = □" }, { code: "" }, { code: "\xFF" },
       { code: "a\0" }].each do |bad|
        send_form "/listen/#{room.id}/records", **good, **bad
        expect([bad, last_response.status]).to eq([bad, 422])
      end
      expect(room.observations_dataset.count).to eq(0)
    end

    it "answers 422 to commands, sets, ways, shares and check-ins that cannot be" do
      get "/find/#{room.id}"
      course = room.start_lesson(room.today).course
      course.go(course.plan("number_string", details: { "seed" => 3 }))
      { "/find/#{room.id}" => [{}, { activity: "fly" }, { activity: "twins", to: 7 }, { activity: "twins", seed: 0 }],
        "/conduct/#{room.id}/do" => [{ do: "strobe" }, { do: "step", value: "next" }, { do: "stand", value: "fly" }],
        "/lesson/#{room.id}/order" => [{}, { item: 1 }, { item: "a", place: 1 }],
        "/conduct/#{room.id}/ways" => [{ item: 0, groups: "1;;2" }, { item: 0, groups: "one" }, { groups: "1" },
                                       { item: 0, written: "80 + 8" }, { item: 0 }, { item: 0, move: "fly" }],
        "/conduct/#{room.id}/thrown" => [{ item: 0 }, { item: -1, shown: "3" }],
        "/share/#{room.id}" => [{ problem: posed.id }, { problem: posed.id, move: "fly" },
                                { problem: posed.id, broken: 5, pieces: [1] }, { problem: posed.id,
                                                                                 move: "near_double" },
                                { problem: posed.id, broken: 5,
                                  pieces: [3, 3] }],
        "/check-in/#{room.id}/#{child.id}/start" => [{ operation: "divide" }, { operation: "add", band: "to7" }, {}],
        "/check-in/#{room.id}/#{child.id}/answers" => [{ problem_id: posed.id, code: "fly",
                                                         client_key: SecureRandom.uuid }, { problem_id: "x",
                                                                                            code: "guess",
                                                                                            client_key: "1" }],
        "/lesson/#{room.id}/go" => [{ to: "mars" },
                                    { to: "999999" }],
        "/plan/#{room.id}/equations" => [{ equation: "7 × 2 = ?" }, { equation: "" }, { equation: "?" * 100 }],
        "/board/#{room.id}/lessons/#{posed.lesson_id}/commands" => [{ do: "explode" }, {}] }.each do |path, forms|
        forms.each do |form|
          send_form path, **form
          expect([path, form, last_response.status]).to eq([path, form, 422])
        end
      end
      ["/listen/#{room.id}/hearing?problem=#{posed.id}&heard=nine", "/listen/#{room.id}/hearing?problem=x&heard=9",
       "/listen/#{room.id}/hearing?problem=#{posed.id}&heard=#{'9+' * 100}9"].each do |path|
        expect(get(path).status).to eq(422)
      end
      expect(get("/board/#{room.id}/lessons/99999999999999999999/screen").status).to eq(404)
      expect(room.observations_dataset.count).to eq(0)
    end

    it "answers a problem of the class to no other child's check-in" do
      get "/check-in/#{room.id}/#{child.id}"
      send_form "/check-in/#{room.id}/#{child.id}/answers", problem_id: posed.id, code: "guess",
                                                            client_key: SecureRandom.uuid
      expect(last_response.status).to eq(404)
    end

    it "refuses names that are too long, whole, and says which" do
      get "/account/classes/#{room.id}"
      send_form "/account/classes/#{room.id}/children", names: "Fay\n#{'x' * 3000}"
      expect(last_response.status).to eq(422)
      send_form "/account/classes/#{room.id}/children", names: "x" * 10_000
      expect(last_response.status).to eq(422)
      expect(room.children_dataset.count).to eq(5)
    end
  end

  it "logs what breaks inside and shows a calm page" do
    sign_in teacher[0]
    allow(Records::Evidence).to receive(:new).and_raise("secret detail")
    expect { get "/climb/#{room.id}" }.to output(/RuntimeError(?!.*secret detail)/m).to_stderr
    expect(last_response.status).to eq(500)
    expect(last_response.body).to include("What was saved before is safe").and(satisfy { |body|
      !body.include?("secret detail")
    })
  end
end
