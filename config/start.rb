# frozen_string_literal: true

# What bin/start runs once the gems are there: database, migrations, demo, and a server; both are watched over, and end
# on Ctrl-C.
require "bundler/setup"
require "optparse"
require "socket"
require "fileutils"
require_relative "cluster"
require_relative "backups"
require_relative "start/server"
require_relative "start/watch"
require_relative "updates"
require_relative "start/worker"
require_relative "workers"

# One run, from the checks before it to the end of its database.
class Start
  include Watch

  class Stop < StandardError; end

  ROOT = File.expand_path("..", __dir__)
  VAR = ENV.fetch("RUNGS_VAR") { File.join(ROOT, "var") }

  def initialize(arguments)
    @host, @port, @demo, @fresh = "127.0.0.1", 4600, true, false
    OptionParser.new do |options|
      options.on("--port N", Integer) { |port| @port = port }
      options.on("--host ADDR") { |host| @host = host }
      options.on("--cert FILE") { |file| @cert = file }
      options.on("--key FILE") { |file| @key = file }
      options.on("--fresh") { @fresh = true }
      options.on("--no-demo") { @demo = false }
    end.parse!(arguments)
    raise Stop, "“#{arguments.first}” means nothing here. bin/start --help explains." if arguments.any?

    check_certificate
    raise Stop, "A port is a number from 1 to 65535." unless @port.between?(1, 65_535)
  rescue OptionParser::ParseError => e
    raise Stop, "#{e.message.sub(/\A./, &:upcase)}. bin/start --help explains."
  end

  def run
    hold_lock
    check_port
    start_database
    prepare
    serve
  ensure
    puts "Ending the database …" if @cluster&.running?
    @cluster&.stop
  end

  private

  def check_certificate
    return if @cert.nil? && @key.nil?

    raise Stop, "HTTPS needs both --cert FILE and --key FILE." unless @cert && @key

    missing = [@cert, @key].find { |file| !File.readable?(file) }
    raise Stop, "#{missing} cannot be read." if missing

    ENV["RUNGS_CERT"], ENV["RUNGS_KEY"], ENV["RUNGS_HTTPS"] = File.expand_path(@cert), File.expand_path(@key), "1"
  end

  def hold_lock
    FileUtils.mkdir_p(VAR)
    @lock = File.open(File.join(VAR, "start.lock"), File::RDWR | File::CREAT)
    return if @lock.flock(File::LOCK_EX | File::LOCK_NB)

    raise Stop,
          "Rungs is already running from this folder. Open it in the browser, or end it with Ctrl-C where it was " \
          "started."
  rescue Errno::EACCES
    raise Stop, "#{VAR} cannot be written. Start as the user who owns it, or from a copy of your own."
  end

  def check_port
    TCPServer.new(@host, @port).close
  rescue Errno::EADDRINUSE
    raise Stop, "Port #{@port} is taken by another program. Start with another one:  bin/start --port #{@port + 1}"
  rescue Errno::EACCES
    raise Stop, "Port #{@port} needs special rights. Take one above 1023:  bin/start --port 4600"
  rescue SocketError, Errno::EADDRNOTAVAIL
    raise Stop, "This machine has no address #{@host}."
  end

  def start_database
    return puts("Using the database of DATABASE_URL.") if ENV["DATABASE_URL"]

    @cluster = Cluster.new(File.join(VAR, "postgres"))
    ENV["DATABASE_URL"] = @cluster.start("rungs") { |step| puts step }
    ENV["RUNGS_OWNER_URL"] = @cluster.owner_url("rungs")
  end

  def prepare
    ENV["RUNGS_HOST"], ENV["RUNGS_PORT"], ENV["RUNGS_DEMO"] = @host, @port.to_s, (@demo ? "1" : "0")
    ENV["RUNGS_WORKERS"], ENV["RUNGS_NIGHTLY"] = Workers.number.to_s, "1"
    require_relative "boot"
    check_mail
    Database.migrate { |step, url| before_tables_change(step, url) }
    LOADER.eager_load
    Records::Ledger.catch_up { |done, all| puts "What the records say is made: class #{done} of #{all} …" }
    load_demo if @demo
  rescue Database::Newer => e
    raise Stop, e.message
  rescue Copies::Failure => e
    raise Stop, "The tables have to be changed, and no copy could be made first; nothing was changed. #{e.message}"
  rescue Sequel::DatabaseConnectionError => e
    raise Stop, "The database cannot be reached: #{e.message.lines.first.strip}. Is DATABASE_URL right?"
  end

  # What is there is copied first, so that one can go back.
  def before_tables_change(step, url)
    if step.positive?
      copy = Copies.new(File.join(VAR, "copies"), url).make(step)
      puts "A copy of everything is in #{copy}. To go back: end Rungs, run, with this version still in place,",
           "  bin/rungs-admin go-back #{copy}",
           "and only then put the version before in place."
    end
    puts "Bringing the tables up to date …"
  end

  def check_mail
    return if Settings.mail.nil? || ENV["RUNGS_URL"] || Settings.loopback?

    raise Stop, "Letters hold a link to this server: set RUNGS_URL to where people reach it."
  rescue ArgumentError => e
    raise Stop, e.message
  end

  def load_demo
    Demo::School.clear if @fresh
    return if Demo::School.account

    puts "Loading the demo class …"
    Demo::School.load
  end

  # The server is a process of its own, with everything loaded already; it is started again when it ends by itself.
  def serve
    DB.disconnect
    %w[INT TERM].each { |name| trap(name) { @ending = true } }
    @ends = 0
    start_server(greeting: true)
    @worker = Worker.start(@lock)
    watch until @ending
  ensure
    @worker && Worker.stop(@worker)
    @server && Server.stop(@server)
  end

  def greet
    puts "", "Rungs is at #{Settings.url}"
    many = ENV.fetch("RUNGS_WORKERS")
    puts "#{many == '1' ? '1 process serves' : "#{many} processes serve"}, as this machine's cores and memory allow."
    puts "To look around: press “Open the demo class” on the sign-in page." if Settings.demo_offer?
    puts "To make an account one needs this code:  #{Settings.invitation}" if Settings.invitation
    puts "Ctrl-C ends it."
    Thread.new { Updates.sentence&.then { |sentence| puts sentence } }
  end
end

begin
  $stdout.sync = true
  Start.new(ARGV).run
rescue Start::Stop, Cluster::Failure => e
  warn "", e.message
  exit 1
rescue Errno::ENOSPC, Sequel::DatabaseError => e
  raise unless e.is_a?(Errno::ENOSPC) || e.message.include?("No space left")

  warn "", "The disk is full. Free some space, then start again. Nothing was lost."
  exit 1
rescue SignalException
  exit 130
end
