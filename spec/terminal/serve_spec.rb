# frozen_string_literal: true

require "app_helper"
require "net/http"

# One of several servers of a database, as its unit starts it.
RSpec.describe "bin/serve" do
  let(:port) { free_port }
  let(:metrics) { free_port }
  let(:said) { File.join(folder, "said") }
  let(:folder) { Dir.mktmpdir("rungs-serve") }

  attr_reader :process

  def free_port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }

  def start(*how, **more)
    here = { "RUNGS_PORT" => port.to_s, "RUNGS_WORKERS" => "2", "RUNGS_DRAIN" => "2", "RUNGS_LOG" => "json",
             "RUNGS_METRICS" => "127.0.0.1:#{metrics}", "RUNGS_VAR" => folder, "LD_PRELOAD" => nil, **more }
    @process = spawn(here, File.join(Rungs::ROOT, "bin/serve"), *how, out: said, err: %i[child out], pgroup: true)
  end

  def ask(path, at: port)
    answer = Net::HTTP.get_response("127.0.0.1", path, at)
    [answer.code, answer.body.strip]
  rescue SystemCallError, EOFError
    nil
  end

  def await(seconds = 60) = Timeout.timeout(seconds) { sleep 0.05 until yield }

  # @return [Boolean] whether it had ended by itself
  def ended? = !Process.wait(process, Process::WNOHANG).nil?

  after do
    Process.kill(:KILL, -process)
    FileUtils.rm_rf(folder)
  rescue Errno::ESRCH
    nil
  end

  it "says when it is ready, counts at an address of its own, and logs in lines", :deep do
    start("RUNGS_SECRETS" => folder)
    await { ask("/health/ready") == %w[200 ready] }
    5.times { ask("/account/login") }
    expect(ask("/metrics", at: metrics).last).to include('rungs_requests_total{route="other",status="200"} 5.0')
    expect([ask("/metrics").first, ask("/account/login", at: metrics).first]).to eq(%w[302 404])
    lines = File.readlines(said).map { |line| JSON.parse(line) }
    expect(lines.count { |line| line["status"] == 200 && line["method"] == "GET" }).to be >= 5
    expect(Dir.children(folder)).to include("session_secret")
  end

  it "ends without losing a request: says so first, goes on answering, then ends", :deep do
    start("RUNGS_DRAIN" => "8")
    await { ask("/health/ready") == %w[200 ready] }
    Process.kill(:TERM, process)
    await { ask("/health/ready") == %w[503 ending] }
    expect([ask("/account/login").first, ask("/health/live").first]).to eq(%w[200 200])
    await { ended? }
    expect(ask("/health/live")).to be_nil
  end

  it "hears what boards are told at the database itself", :deep do
    Timecop.return
    room = make_teacher[1]
    lesson, heard = room.start_lesson(room.today), Queue.new
    start("RUNGS_LISTEN_URL" => ENV.fetch("DATABASE_URL"))
    await { ask("/health/ready") == %w[200 ready] }
    follower = Thread.new { follow("/b/#{lesson.open_code}/events") { |text| heard << text } }
    await { heard.size.positive? }
    sleep 0.5
    heard.clear
    DB.notify(Records::Lesson::CHANNEL, payload: lesson.id.to_s)
    await(4) { heard.size.positive? }
    expect(heard.pop).to include("data: ")
  ensure
    follower&.kill
  end

  def follow(path, &told)
    Net::HTTP.start("127.0.0.1", port) { |http| http.request_get(path) { |answer| answer.read_body(&told) } }
  end

  it "works beside the servers, one of all at a time", :deep do
    Timecop.return
    start("work")
    await { Records::Job.worker? }
    job = Records::Job.ask("sheet", { "nothing" => true })
    await { job.refresh.failed? }
    Process.kill(:TERM, process)
    await { ended? }
    expect(Records::Job.worker?).to be(false)
  end
end
