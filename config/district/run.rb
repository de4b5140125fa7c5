# frozen_string_literal: true

# What bin/district runs: a whole district on this machine, on loopback, in var/district.
require "bundler/setup"
require "fileutils"
require "json"
require "net/http"
require "optparse"
require_relative "../own_place"
require_relative "certificate"
require_relative "own_district"
require_relative "plan"
require_relative "program"
require_relative "run/ports"
require_relative "run/ready"
require_relative "tables"

# One run, from the files to the end of the last program.
class District
  class Failure < StandardError; end
  include OwnPlace
  include Ports
  include Ready

  ROOT = File.expand_path("../..", __dir__)
  FOLDER = ENV.fetch("RUNGS_DISTRICT") { File.join(ROOT, "var/district") }
  HOST = "127.0.0.1"
  HERE = { "etcd" => %w[etcd1], "patroni" => %w[db1 db2 db3], "haproxy" => %w[door], "pgbouncer" => %w[pool],
           "server" => %w[server1 server2], "work" => %w[work1 work2] }
         .transform_values { |names| names.to_h { |name| [name, HOST] } }.freeze
  # In which they start; each is there before the next.
  STEPS = [%w[etcd], %w[patroni], %w[haproxy pgbouncer], %w[server work]].freeze
  # Seconds: between two looks, until one that ended is started again, and that a step is given.
  WATCH = 0.3
  PAUSE = 1
  PATIENCE = 60
  # Whose the programs of the district itself are where root starts it.
  KEEPER = "postgres"

  # @param port [Integer] where people reach it
  def initialize(port)
    @folder = FOLDER
    @port = port
    FileUtils.mkdir_p(@folder, mode: 0o755)
    @since = Hash.new(0)
  end

  def run
    hold_lock
    free?(@port) || raise(Failure, "Port #{@port} is taken. Start with another one:  bin/district --port #{@port + 1}")
    write_files
    %w[INT TERM].each { |name| trap(name) { @ending = true } }
    STEPS.each { |kinds| @ending ? break : start(kinds) }
    return if @ending

    greet
    watch until @ending
  ensure
    stop
  end

  private

  def hold_lock
    @lock = File.open(File.join(@folder, "lock"), File::RDWR | File::CREAT)
    @lock.flock(File::LOCK_EX | File::LOCK_NB) || raise(Failure, "A district is already running from this folder.")
  end

  def plan
    @plan ||= DistrictPlan.new(
      HERE, folder: data, secrets: File.join(@folder, "secrets"), backups: File.join(@folder, "backups"),
            people: HOST, url: "https://#{HOST}:#{@port}", networks: ["127.0.0.1/32"], secret: method(:secret),
            workers: ENV.fetch("RUNGS_WORKERS", nil)
    ) { |part, which| port_of(part, which) }
  end

  def write_files
    plan.write
    Certificate.write(plan.one("haproxy").file("certificate.pem"), HOST)
    plan.parts.each { |part| FileUtils.chown_R(KEEPER, KEEPER, part.folder) if keeper(part) }
    FileUtils.chown(KEEPER, KEEPER, data) if root?
    @programs = plan.parts.to_h { |part| [part, program(part)] }
  end

  def keeper(part) = root? && !%w[server work].include?(part.kind) ? KEEPER : nil

  def program(part)
    Program.new(part.name, part.filled("#{part.kind}.service"), log: log_of(part), user: keeper(part))
  end

  def log_of(part) = File.join(@folder, "#{part.name}.log")

  def start(kinds)
    puts "Starting #{names(kinds)} …"
    kinds.flat_map { |kind| plan.all(kind) }.each do |part|
      @programs.fetch(part).start
      await(part)
    end
    tell
    make_tables if kinds.include?("pgbouncer")
  end

  def names(kinds) = kinds.flat_map { |kind| plan.all(kind).map(&:name) }.join(", ")

  def make_tables
    puts "Bringing the tables up to date …"
    Tables.new(plan).make
  end

  def watch
    sleep WATCH
    ended = plan.parts.select { |part| look_after(part) }
    tell if ended.any?
  end

  # Starts it again where it has ended by itself.
  # @return [Boolean] whether it had
  def look_after(part)
    program = @programs.fetch(part)
    return false unless program.ended? && Time.now.to_f - @since[part] > PAUSE

    puts "#{part.name} has ended. Starting it again …" if @greeted
    @since[part] = Time.now.to_f
    program.start
    true
  end

  # What runs where, for programs: running.json.
  def tell
    now = plan.parts.to_h do |part|
      ports = part.ports.keys.to_h { |which| [which, part.port(which)] }
      [part.name, { kind: part.kind, pid: @programs.fetch(part).pid, folder: part.folder, ports: ports }]
    end
    urls = { people: plan.url, owner: plan.owner_url, superuser: plan.superuser_url, direct: plan.direct_url }
    file = File.join(@folder, "running.json")
    File.write("#{file}.new", JSON.pretty_generate({ up: @greeted, **urls, parts: now }), perm: 0o600)
    File.rename("#{file}.new", file)
  end

  def greet
    @greeted = true
    tell
    puts "", "Rungs is at #{plan.url} (the browser does not know its certificate: it was made here)."
    plan.parts.each do |part|
      where = part.ports.keys.map { |which| "#{which} #{part.address(which)}" }.join(", ")
      puts format("  %<name>-8s %<where>s", name: part.name, where: where) unless where.empty?
    end
    puts "Their files and logs are in #{data} and #{@folder}. Ctrl-C ends it all."
  end

  # The last first; databases end with what watches over them.
  def stop
    puts "Ending …" if @greeted
    STEPS.reverse_each do |kinds|
      programs = @programs.to_h.select { |part, program| kinds.include?(part.kind) && program.pid }.values
      programs.each(&:ask_to_end)
      programs.each(&:end)
    end
    FileUtils.rm_f(File.join(@folder, "running.json"))
  end
end

begin
  $stdout.sync = true
  port = 4643
  OptionParser.new { |options| options.on("--port N", Integer) { |number| port = number } }.parse!(ARGV)
  case ARGV
  in [] then District.new(port).run
  in ["files", plan, below] then OwnDistrict.write(plan, below)
  else raise District::Failure, "“#{ARGV.join(' ')}” means nothing here. bin/district --help explains."
  end
rescue District::Failure, Tables::Failure, OptionParser::ParseError, Psych::Exception, SystemCallError => e
  warn "", e.message
  exit 1
end
