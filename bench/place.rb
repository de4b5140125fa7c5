# frozen_string_literal: true

ENV["BUNDLE_GEMFILE"] ||= File.expand_path("../Gemfile", __dir__)
require "bundler/setup"
require "socket"
require_relative "../config/cluster"

# A database and servers of the benchmarks' own, under var/bench; the database is kept from run to run.
module Place
  # As bin/start runs it.
  YJIT = system("ruby", "--yjit", "-e", "", err: File::NULL) ? "--yjit" : ""
  FOLDER = ENV.fetch("BENCH_FOLDER") { File.expand_path("../var/bench", __dir__) }

  module_function

  # Starts the database and loads the application onto it.
  # @param database [String]
  def open(database = "rungs_bench")
    @cluster = Cluster.new(File.join(FOLDER, "postgres"))
    already = @cluster.running?
    @cluster.start(database)
    ENV["DATABASE_URL"] = @cluster.owner_url(database)
    @stop = !already
    ENV["RUNGS_VAR"] = FOLDER
    ENV["RUNGS_THREADS"] ||= "5"
    require_relative "../config/boot"
    Database.migrate
    at_exit { close }
  end

  # @param arguments [Array<String>] for puma
  # @param workers [Integer]
  # @return [Integer] the port it serves on
  def serve(*arguments, workers: 1)
    port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }
    environment = { "RUNGS_PORT" => port.to_s, "RUNGS_HOST" => "127.0.0.1", "RUBYOPT" => YJIT,
                    "RUNGS_WORKERS" => workers.to_s }
    arguments = arguments.map { |each| each.sub("PORT", port.to_s) }
    pid = spawn(environment, "bundle", "exec", "puma", "--quiet", *arguments, out: File::NULL)
    (@servers ||= []) << pid
    await(port)
  end

  # @return [Float] seconds of processor time that the server started last has taken
  def processor_time
    main = @servers.last
    [main, *children(main)].sum { |pid| ticks(pid) } / 100.0
  end

  # What a process took itself, and inside the system.
  def ticks(pid) = File.read("/proc/#{pid}/stat")[/\) .*/].split.values_at(12, 13).sum(&:to_i)
  def children(pid) = File.read("/proc/#{pid}/task/#{pid}/children").split.map(&:to_i)

  # All as bin/start runs and watches over it, in a folder of its own, with the application loaded here on its database.
  # @return [Integer] the port it serves on
  def watched
    folder = File.join(FOLDER, "watched")
    FileUtils.mkdir_p(folder)
    port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }
    @main = spawn({ "RUNGS_VAR" => folder, "DATABASE_URL" => nil, "RUBYOPT" => YJIT }, "ruby", "config/start.rb",
                  "--no-demo", "--port", port.to_s, chdir: File.expand_path("..", __dir__), out: File::NULL)
    @watched = Cluster.new(File.join(folder, "postgres"))
    at_exit { Process.kill(:TERM, @main) && Process.wait(@main) }
    await(port)
    ENV["DATABASE_URL"], ENV["RUNGS_VAR"] = @watched.url("rungs"), folder
    require_relative "../config/boot"
    port
  end

  # @return [Hash{String => Array<Integer>}] what can be killed, and its processes now
  def victims
    server = children(@main).flat_map { |pid| [pid, *children(pid)] }
    { "server" => server, "database" => [@watched.process], "both" => [*server, @watched.process] }
  end

  # @return [Integer] the port, once something answers there
  def await(port, tries = 600)
    TCPSocket.open("127.0.0.1", port).close
    port
  rescue Errno::ECONNREFUSED
    abort "The server did not come up." if tries.zero?
    sleep 0.1
    await(port, tries - 1)
  end

  # With its processes, whether it ends by itself or not.
  def end_server(pid)
    family = [pid, *children(pid)]
    Process.kill("TERM", pid)
    50.times { Process.wait(pid, Process::WNOHANG) ? return : sleep(0.1) }
    family.each { |each| system("kill", "-9", each.to_s, err: File::NULL) }
    Process.wait(pid)
  rescue SystemCallError
    nil
  end

  def close
    @servers.to_a.each { |pid| end_server(pid) }
    DB.disconnect
    @cluster.stop if @stop
  end
end
