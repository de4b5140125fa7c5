# frozen_string_literal: true

require "net/http"
require "open3"
require "pg"
require "timeout"
require "tmpdir"
require_relative "../../config/cluster"

# The whole of it as it is started on a machine, in a folder of its own.
RSpec.describe "bin/start" do
  let(:root) { File.expand_path("../..", __dir__) }
  let(:folder) { Dir.mktmpdir("rungs-start").tap { |made| File.chmod(0o755, made) } }
  let(:cluster) { Cluster.new(File.join(folder, "postgres")) }
  let(:port) { TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] } }
  let(:said) { File.join(folder, "said") }

  # Its process.
  let(:main) { start }

  def start
    clean = %w[DATABASE_URL RUNGS_OWNER_URL RACK_ENV RUNGS_DEMO].to_h { |name| [name, nil] }
    spawn({ **clean, "RUNGS_VAR" => folder }, "ruby", "config/start.rb", "--port", port.to_s, "--no-demo",
          chdir: root, out: said, err: %i[child out], pgroup: true)
  end

  def status = Net::HTTP.get_response(URI("http://127.0.0.1:#{port}/account/login")).code
  def server = File.read("/proc/#{main}/task/#{main}/children").split.map(&:to_i).first
  def postmaster = cluster.process

  def await(seconds = 60, &block)
    Timeout.timeout(seconds) { sleep 0.1 until quietly(&block) }
  end

  def quietly
    yield
  rescue SystemCallError, EOFError, Net::ReadTimeout
    false
  end

  before { main && await { status == "200" } }

  after do
    quietly { Process.kill(:KILL, -main) }
    cluster.stop
    FileUtils.rm_rf([folder, File.dirname(cluster.send(:data))])
  end

  it "works in the tables with a role that may do nothing else, keeps its logs to itself, and ends with its database",
     :deep do
    PG.connect(cluster.url("rungs")) do |worker|
      expect(worker.exec("SHOW is_superuser").getvalue(0, 0)).to eq("off")
      expect(worker.exec("SELECT count(*) FROM accounts").getvalue(0, 0)).to eq("0")
      ["CREATE TABLE more (id int)", "DROP TABLE accounts", "CREATE ROLE other"].each do |change|
        expect { worker.exec(change) }.to raise_error(PG::InsufficientPrivilege)
      end
    end
    logs = Dir[File.join(folder, "{puma,postgres/server-*}.log")]
    expect(logs.map { |log| File.stat(log).mode & 0o777 }).to eq([0o600] * 2)
    Process.kill(:TERM, main)
    Timeout.timeout(10) { Process.wait(main) }
    expect([quietly { status }, cluster.running?]).to eq([false, false])
  end

  # A command of whoever keeps the machine, as a process of its own.
  # @return [Array(String, Boolean)] what it said, and whether it did what it was told
  def keeper(*command, typed: "")
    clean = %w[DATABASE_URL RUNGS_OWNER_URL RACK_ENV RUNGS_DEMO RUNGS_BACKUPS].to_h { |name| [name, nil] }
    said, done = Open3.capture2e({ **clean, "RUNGS_VAR" => folder }, "bin/rungs-admin", *command, chdir: root,
                                                                                                  stdin_data: typed)
    [said, done.success?]
  end

  it "lets its keeper do everything while it runs, but put another database in its place", :deep do
    PG.connect(cluster.owner_url("rungs")) do |owner|
      owner.exec("INSERT INTO accounts (email, name, status_id) VALUES ('reva@harbour.example', 'Ms Reva', 2)")
    end
    { %w[backup] => /tried and complete/, %w[list] => /MB are free/, %w[check] => /restored and complete/,
      %w[tidy --dry-run] => /nothing to do/, %w[reckon] => /\A(What the records say .*)?\z/m,
      %w[migrate] => /tables are at step/, %w[password reva@harbour.example] => /new password of reva@/ }
      .each { |command, words| expect([command, *keeper(*command)]).to match([command, words, true]) }
    expect(keeper("password")).to match([/written: bin.rungs-admin password ADDRESS/, false])
    copy = Dir[File.join(folder, "backups/rungs-*.dump")].first
    [%w[restore restore], ["go-back", "go back"]].each do |command, typed|
      expect(keeper(command, copy, typed: typed)).to match([/Rungs is running with this database/, false])
    end
    Process.kill(:TERM, main)
    Process.wait(main)
    [%w[restore restore], ["go-back", "go back"]].each do |command, typed|
      expect(keeper(command, copy, typed: typed)).to match([/Everything is as it was/, true])
    end
    start.then do |again|
      await { status == "200" }
      Process.kill(:TERM, again)
      Process.wait(again)
    end
  end

  it "comes back by itself when the server, the database or both were killed", :deep do
    [%i[server], %i[postmaster], %i[server postmaster]].each do |those|
      killed = those.map { |each| send(each) }
      Process.kill(:KILL, *killed)
      await { !killed.intersect?([server, postmaster]) && status == "200" }
    end
    expect(File.read(said)).to include("The server has ended", "The database has ended")
    alone = server
    Process.kill(:KILL, main)
    Process.wait(main)
    await { !File.exist?("/proc/#{alone}") }
    Process.kill(:KILL, postmaster)
    again = start
    await { status == "200" }
    Process.kill(:TERM, again)
    Process.wait(again)
  end
end
