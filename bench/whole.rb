# frozen_string_literal: true

ENV["BUNDLE_GEMFILE"] ||= File.expand_path("../Gemfile", __dir__)
require "bundler/setup"
require "fileutils"
require "json"
require "net/http"
require "socket"
require "yaml"
require_relative "place"

# A whole district in a folder of its own, as bin/district runs it, with the application loaded here on its database.
class Whole
  FOLDER = File.join(Place::FOLDER, "district")
  PATIENCE = 180

  # @return [Integer] where people reach it
  attr_reader :port

  def initialize
    FileUtils.mkdir_p(FOLDER)
    @port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }
    @main = spawn({ "RUNGS_DISTRICT" => FOLDER, "DATABASE_URL" => nil, "RUNGS_OWNER_URL" => nil, "RACK_ENV" => nil },
                  "ruby", "config/district/run.rb", "--port", @port.to_s,
                  chdir: File.expand_path("..", __dir__), out: File.join(FOLDER, "said"), err: %i[child out])
    await("the district") { running["up"] }
    ENV["DATABASE_URL"], ENV["RUNGS_VAR"] = running["direct"], FOLDER
    require_relative "../config/boot"
  end

  def end
    DB.disconnect
    Process.kill(:TERM, @main)
    Process.wait(@main)
  rescue SystemCallError
    nil
  end

  # What runs where, as it is now.
  # @return [Hash] as running.json has it
  def running
    JSON.parse(File.read(File.join(FOLDER, "running.json")))
  rescue Errno::ENOENT
    raise "The district has ended: #{File.read(File.join(FOLDER, 'said'))}" if Process.wait(@main, Process::WNOHANG)

    {}
  end

  def part(name) = running.fetch("parts").fetch(name)
  def names(kind) = running.fetch("parts").select { |_, part| part["kind"] == kind }.keys
  def port_of(name, which) = part(name).fetch("ports").fetch(which)

  # @return [Array<Integer>] the processes of a part, and those they started
  def processes(name)
    own = part(name)["pid"]
    own ? [own, *below(own)] : []
  end

  # @return [Array<Integer>] the processes of a database itself, apart from what watches over it
  def postgres(name)
    main = File.foreach(File.join(part(name)["folder"], "data/postmaster.pid")).first.to_i
    [main, *below(main)]
  end

  # @return [Float] seconds that processes have taken, and those they started that have ended
  def processor_time(processes)
    processes.sum do |pid|
      File.read("/proc/#{pid}/stat")[/\) .*/].split.values_at(12, 13, 14, 15).sum(&:to_i)
    rescue Errno::ENOENT, Errno::ESRCH
      0
    end / 100.0
  end

  # @param name [String] of a database
  # @return [String] "leader", "sync_standby" or "replica"; "away" where it does not say
  def role(name)
    said = JSON.parse(Net::HTTP.get("127.0.0.1", "/cluster", port_of(name, "rest")))
    said["members"].find { |member| member["name"] == name }&.fetch("role")
  rescue SystemCallError, IOError, Timeout::Error, JSON::ParserError
    "away"
  end

  # What one database itself says.
  # @return [String]
  def ask_database(name, sql)
    url = URI(running["superuser"]).tap { |there| there.port = port_of(name, "database") }
    PG.connect(url.to_s) { |database| database.exec(sql).getvalue(0, 0) }
  end

  # Changes what all that watch over databases go by.
  def configure(changes)
    leader = of_role("leader")
    said = YAML.load_file(File.join(part(leader)["folder"], "patroni.yml"))["restapi"]["authentication"]
    request = Net::HTTP::Patch.new("/config", "Content-Type" => "application/json")
    request.basic_auth(*said.values_at("username", "password"))
    request.body = changes.to_json
    answer = Net::HTTP.start("127.0.0.1", port_of(leader, "rest")) { |http| http.request(request) }
    raise answer.body unless answer.code == "200"
  end

  # @return [String] the database that leads, or a standby that what is acknowledged waits for
  def of_role(role) = await("a #{role}") { names("patroni").find { |name| role(name) == role } }

  def signal(which, *processes) = processes.flatten.each { |pid| send_signal(which, pid) }

  # All databases there, one of them leading and one in step with it.
  def whole?
    roles = names("patroni").map { |name| role(name) }.tally
    roles == { "leader" => 1, "sync_standby" => 1, "replica" => names("patroni").size - 2 } && servers_ready?
  end

  def servers_ready? = names("server").all? { |name| ready?(name) }

  def ready?(name)
    Net::HTTP.get_response("127.0.0.1", "/health/ready", port_of(name, "people")).code == "200"
  rescue SystemCallError, IOError, Timeout::Error
    false
  end

  # @return [String] what whoever shares out requests says
  def ask_door(words)
    UNIXSocket.open(File.join(part("door")["folder"], "admin.sock")) do |socket|
      socket.puts(words)
      socket.read
    end
  end

  # @yield → what it is waited for
  def await(what, seconds = PATIENCE)
    until_ = Process.clock_gettime(Process::CLOCK_MONOTONIC) + seconds
    loop do
      there = yield
      return there if there
      raise "#{what} did not come in #{seconds} s" if Process.clock_gettime(Process::CLOCK_MONOTONIC) > until_

      sleep 0.2
    end
  end

  private

  def below(pid) = Place.children(pid).flat_map { |child| [child, *below(child)] }

  def send_signal(which, pid)
    Process.kill(which, pid)
  rescue Errno::ESRCH
    nil
  end
end
