# frozen_string_literal: true

require "app_helper"

RSpec.describe Jobs do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:sheet) { "/sheets/#{room.id}/sheet.pdf?sheet=families" }

  before { Records::Job.dataset.delete }

  def ask(who = teacher, **asked)
    Records::Job.ask("sheet", { "form" => { "sheet" => "families" }, "today" => room.today, "day" => room.today,
                                **asked.transform_keys(&:to_s) },
                     account_id: who[0].id, classroom_id: who[1].id)
  end

  # As long as the block takes a worker of its own, in another connection.
  def beside
    held, done = Queue.new, Queue.new
    working = Thread.new do
      DB.synchronize do
        DB.get(Sequel.function(:pg_advisory_lock, Records::Job::LOCK))
        held << true
        done.pop
        DB.get(Sequel.function(:pg_advisory_unlock, Records::Job::LOCK))
      end
    end
    held.pop
    yield
  ensure
    done << true
    working.join
  end

  it "draws at once where no process is there to draw, else says how far it is, then gives the file" do
    sign_in teacher[0]
    expect(get(sheet).headers["content-type"]).to eq("application/pdf")
    beside do
      get sheet
      follow_redirect!
      expect([last_response.status, last_response.body]).to match([202, /A moment.*Waits for what was asked for/m])
      path = last_request.path
      job = Records::Job[path[/\d+\z/]]
      job.update(state: "going", done: 2, total: 5)
      expect(get(path).body).to include("2 of 5 are drawn")
      job.update(state: "waiting")
      expect(Jobs::Worker.new.work_off).to be >= 1
      expect([get(path).status, last_response.headers["content-type"]]).to eq([200, "application/pdf"])
      expect(last_response.body.b).to start_with("%PDF")
      header "HX-Request", "true"
      clear_cookies
      sign_in make_teacher[0]
      expect(get(path).status).to eq(404)
    end
  end

  # A file as a form sends it, put under what is looked at.
  # @return [String] where its page is
  def send_in(bytes, name)
    sent = Rack::Test::UploadedFile.new(StringIO.new(bytes), "application/octet-stream", original_filename: name)
    get "/records/#{room.id}"
    send_form "/records/#{room.id}/in", file: sent
    URI(last_response.location).path
  end

  it "looks at what comes in beside the server, shows it, and brings it in there too" do
    sign_in teacher[0]
    answers = %w[Ada Nobody].map { |name| "#{name},#{room.today},9 + 4 = ?,make_ten" }
    table = ["child,date,equation,strategy", *answers].join("\n")
    beside do
      page = send_in(table, "a.csv")
      get page
      follow_redirect!
      expect([last_response.status, squeezed]).to match([202, /Waits for what was asked for before/])
      expect(Records::Job.last.values).to include(kind: "look", state: "waiting")
      Jobs::Worker.new.work_off
      get last_request.path
      expect(squeezed).to include("2 lines can be read: 2 new", "Not on the list: Nobody")
      send_form page, columns: { child: "child", date: "date", rung: "strategy", equation: "equation" }
      Jobs::Worker.new.work_off
      2.times { follow_redirect! }
      expect([squeezed, room.observations_dataset.count]).to match([/1 answer brought in/, 1])
    end
  end

  it "refuses what a class cannot be, and what takes too long, in a sentence" do
    sign_in teacher[0]
    manifest = { "format" => Exchange::Archive::FORMAT, "version" => 4, "sha256" => { "class.json" => "0" } }.to_json
    huge = Zip::OutputStream.write_buffer do |zip|
      zip.put_next_entry("manifest.json") && zip.write(manifest)
      zip.put_next_entry("class.json") && zip.write("[],".ljust(3 * (1024**2), "[],"))
    end
    stub_const("Exchange::Archive::MOST_JSON", 1024**2)
    expect(get(send_in(huge.string, "class.zip")).body).to include("Class.json in that file is larger than it may be")
    allow(Exchange::Incoming).to receive(:of) { sleep 1 }
    stub_const("Jobs::Look::LONGEST", 0.05)
    expect([get(send_in("{}", "class.json")).status, squeezed]).to match([422, /It takes too long to read that file/])
  end

  it "keeps a file in pieces, which come in their order and one at a time" do
    job = ask
    bytes = Random.new(1).bytes((Records::InPieces::PIECE * 2) + 7)
    job.finish(StringIO.new(bytes))
    expect([job.size, job.whole == bytes, job.open_file { |path| File.binread(path) == bytes }])
      .to eq([bytes.size, true, true])
    first = job.stream.lazy
    expect(first.next.bytesize).to eq(Records::InPieces::PIECE)
    job.delete
    expect(DB[:pieces].where(job_id: job.id).count).to eq(0)
    expect { first.next.bytesize }.to raise_error(StandardError)
  end

  it "writes no file of a class that is larger than what comes in may be" do
    stub_const("Settings::LARGEST_FILE", 200)
    job = Records::Job.ask("class_file", { holds: "class" }, account_id: teacher[0].id, classroom_id: room.id)
    Jobs::Worker.do_now(job)
    expect([job.state, job.trouble]).to match(["failed", /larger than 0 MB and could not be brought in again/])
  end

  it "says why a sheet could not be drawn, and of a pack which" do
    lesson = room.start_lesson(room.today)
    %w[twins dice_mat].each { |kind| lesson.course.plan(kind) }
    allow(Sheets::Practice).to receive(:new).and_wrap_original do |made, **how|
      raise Rungs::Error::NotAProblem, "there is nothing to put on this sheet" if how[:title] == "Twins"

      made.call(**how)
    end
    sign_in teacher[0]
    pack = "/sheets/#{room.id}/pack.pdf?from=#{room.today}&until=#{room.today}&kinds[]=practice"
    beside do
      get pack
      follow_redirect!
      Jobs::Worker.new.work_off
      get last_request.path
      expect(last_response.body).to include("All but a part of it is ready",
                                            "Twins could not be drawn: there is nothing")
      expect(get("#{last_request.path}?open=true").body.b).to start_with("%PDF")
      room.start_lesson(room.today).course.parts.last.then { |part| room.lesson_on(room.today).course.take_out(part) }
      get pack
      follow_redirect!
      Jobs::Worker.new.work_off
      get last_request.path
      expect([last_response.status, last_response.body]).to match([422, /Twins could not be drawn/])
    end
  end

  it "says in words that what it should draw is not there any more" do
    job = ask("form" => { "sheet" => "practice", "part" => 10**9 })
    described_class::Worker.do_now(job)
    expect([job.state, job.trouble]).to eq(["failed", "That is not there any more"])
  end

  it "takes accounts in turn, the same once, and no more than ten of one" do
    other = make_teacher
    first = Array.new(3) { |index| ask(seed: index) }
    expect(ask(seed: 2).id).to eq(first.last.id)
    second = ask(other, seed: 9)
    order = Array.new(4) { Records::Job.claim.tap { |job| job.finish("") }.id }
    expect(order).to eq([first[0].id, second.id, first[1].id, first[2].id])
    10.times { |index| ask(seed: index) }
    expect { ask(seed: 11) }.to raise_error(Records::Job::TooMany)
    sign_in teacher[0]
    get sheet
    expect([last_response.status, last_response.body]).to match([422, /10 of your files are being made/])
    expect(ask(other, seed: 11)).to be_a(Records::Job)
  end

  it "begins anew what a worker left that went away, and lets go of what was made an hour ago" do
    job = ask
    Records::Job.claim
    expect(Records::Job.claim).to be_nil
    Records::Job.take_up_again
    expect(Records::Job.claim.id).to eq(job.id)
    [Time.now + 3500, job.refresh.created_at + 3600].each { |now| Records::Job.tidy(now) }
    expect(job.refresh.state).to eq("going")
    expect([job.failed?, Timecop.travel(Time.now + 901) { job.failed? }]).to eq([false, true])
    Records::Job.tidy(Time.now + 3700)
    expect(Records::Job[job.id]).to be_nil
  end
end
