# frozen_string_literal: true

require "fileutils"
require "open3"
require "uri"

# A copy of the whole database, made before its tables are changed: the last three, in a folder of their own.
class Copies
  class Failure < StandardError; end

  KEPT = 3
  BIN = [*ENV.fetch("PG_BIN", nil), *Dir["/usr/lib/postgresql/*/bin"].reverse].freeze

  # @param folder [String]
  # @param url [String] of the database, as the role that owns its tables
  def initialize(folder, url)
    @folder = folder
    @url = url
  end

  # @param version [Integer] which step the tables are at
  # @return [String] the file
  # @raise [Failure] and nothing was changed
  def make(version, now: Time.now)
    FileUtils.mkdir_p(@folder, mode: 0o700)
    file = File.join(@folder, "#{now.utc.strftime('%Y-%m-%d-%H%M%S')}-step-#{version}.dump")
    pg("pg_dump", "--format=custom", "--file=#{file}")
    File.chmod(0o600, file)
    all[0...-KEPT].each { |old| FileUtils.rm_f(old) }
    file
  end

  # @return [Array<String>] the oldest first
  def all = Dir[File.join(@folder, "*.dump")]

  # As in a database that was just made, so that what the copy does not have is not there either.
  EMPTY = "DROP SCHEMA public CASCADE; CREATE SCHEMA public AUTHORIZATION pg_database_owner"
  private_constant :EMPTY

  # Puts everything back as it was in a copy; who may read and write is said anew when Rungs starts.
  # @raise [Failure] and nothing was changed
  def go_back(file)
    raise Failure, "There is no copy #{file}." unless File.file?(file)

    script = File.join(@folder, "going-back-#{Process.pid}.sql")
    pg("pg_restore", "--no-owner", "--no-privileges", "--file=#{script}", file, database: false)
    pg("psql", "--quiet", "--no-psqlrc", "--single-transaction", "--set=ON_ERROR_STOP=1", "--command=#{EMPTY}",
       "--file=#{script}")
  ensure
    FileUtils.rm_f(script) if script
  end

  # A tool of PostgreSQL. The password goes by the environment, so that no list of processes shows it.
  # @param database [Boolean] whether it works with the database
  # @return [String] what it said
  # @raise [Failure]
  def pg(name, *arguments, database: true)
    tool = BIN.map { |folder| File.join(folder, name) }.find { |path| File.executable?(path) }
    raise Failure, "#{name} is not there: install the Debian package postgresql-client-15." unless tool

    where = URI(@url)
    environment = { "PGPASSWORD" => URI.decode_www_form_component(where.password.to_s) }
    where.password = nil
    said, status = Open3.capture2e(environment, tool, *("--dbname=#{where}" if database), *arguments)
    raise Failure, "#{name}: #{said.lines.last.to_s.strip}" unless status.success?

    said
  end
end
