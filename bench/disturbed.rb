# frozen_string_literal: true

require "open3"
require "tmpdir"
require_relative "whole"
require_relative "disturbed/load"

# What happens to a district while teachers record: what is done to it, and what they notice.
class Disturbed
  include Load

  # keys: of acknowledged records. gap: the longest time in seconds without one. failed: how often a request was
  # answered by anything but what it should be. board: seconds until a board that was open follows again.
  Noticed = Struct.new(:keys, :gap, :failed, :board, :lost, :doubled, keyword_init: true)

  # Seconds of calm before and after; taps a second of all teachers together, at most.
  CALM = 2
  RATE = 60.0

  attr_reader :whole

  def initialize(whole, teachers: 6)
    require_relative "patient"
    @whole = whole
    @tappers = Array.new(teachers) { PatientTapper.new(whole.port, secure: true).start_class }
  end

  # A Rungs server with all its processes.
  def server_killed
    under_load { whole.signal(:KILL, whole.processes("server1")) && back }
  end

  # The machine of the database that leads: it and what watches over it. Another has to lead.
  def primary_killed(least: 0)
    under_load(least: least) do
      led = whole.of_role("leader")
      whole.signal(:STOP, whole.part(led)["pid"])
      whole.signal(:KILL, whole.postgres(led))
      whole.await("another leader") { (whole.names("patroni") - [led]).find { |name| whole.role(name) == "leader" } }
      taken_again
      whole.signal(:KILL, whole.part(led)["pid"])
    end
  end

  def pool_killed
    under_load { whole.signal(:KILL, whole.processes("pool")) && taken_again }
  end

  # The standby that what is acknowledged waits for, with all its processes.
  def standby_cut_off(seconds: 15)
    under_load do
      cut = whole.of_role("sync_standby")
      processes = [whole.part(cut)["pid"], *whole.postgres(cut)]
      whole.signal(:STOP, processes)
      sleep seconds
      taken_again
      whole.signal(:CONT, processes)
    end
  end

  # One server after the other, each once it is there again.
  def restarted
    under_load do
      whole.names("server").each do |name|
        before = whole.part(name)["pid"]
        whole.signal(:TERM, before)
        whole.await("another #{name}") { whole.part(name)["pid"] != before && whole.ready?(name) }
      end
    end
  end

  # What decides who leads, for longer than a leader may be silent.
  def etcd_lost(seconds: 30)
    under_load do
      processes = whole.processes("etcd1")
      whole.signal(:STOP, processes)
      sleep seconds
      whole.signal(:CONT, processes)
    end
  end

  # A copy of everything, brought back into a cluster of its own.
  # @param keys [Array<String>] of records
  # @return [Hash{String => Integer}] how often each is there
  def restored(keys)
    folder = Dir.mktmpdir("rungs-restored").tap { |made| File.chmod(0o755, made) }
    cluster = Cluster.new(File.join(folder, "postgres"), fast: true)
    url = cluster.start("rungs")
    copies = { "RUNGS_BACKUPS" => File.join(folder, "backups"), "RUNGS_VAR" => folder }
    from = { "DATABASE_URL" => whole.running["direct"], "RUNGS_OWNER_URL" => whole.running["owner"] }
    admin({ **copies, **from }, "backup")
    copy = Dir[File.join(folder, "backups", "rungs-*.dump")].max
    admin({ **copies, "DATABASE_URL" => url, "RUNGS_OWNER_URL" => cluster.owner_url("rungs") }, "restore", copy)
    Sequel.connect(url) { |database| there(keys, database) }
  ensure
    cluster&.stop
    FileUtils.rm_rf(folder)
  end

  # @return [Hash{String => Integer}] how often each record is there
  def there(keys, database = DB)
    database[:observations].where(client_key: keys).select_map(:client_key).tally
  rescue Sequel::DatabaseError
    sleep 0.5
    retry
  end

  private

  # Where the copy of the night is just being made, it is asked again until that is there.
  def admin(where, *command, until_: now + BUSY)
    said, status = Open3.capture2e(where, "bin/rungs-admin", *command, stdin_data: "restore\n", chdir: Rungs::ROOT)
    return if status.success?
    raise said unless said.include?("Another copy is being made") && now < until_

    sleep 1
    admin(where, *command, until_: until_)
  end

  # Seconds that a copy may take.
  BUSY = 90
  private_constant :BUSY

  def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

  def back = whole.await("the servers") { whole.servers_ready? }

  # Every teacher’s tap is taken again.
  def taken_again
    before = @kept.size
    whole.await("a record") { @kept.size > before + (@tappers.size * 2) }
  end
end
