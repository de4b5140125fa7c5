# frozen_string_literal: true

require "fileutils"
require "open3"
require "uri"

# A copy of the whole database as it is before its tables are changed or another is put in its place, in a folder of its
# own: encrypted where the daily ones are, and kept as long.
class Copies
  class Failure < StandardError; end

  BIN = [*ENV.fetch("PG_BIN", nil), *Dir["/usr/lib/postgresql/*/bin"].reverse].freeze

  # @param folder [String]
  # @param url [String] of the database, as the role that owns its tables
  # @param sealed [Backups::Sealed] how they are encrypted and read
  def initialize(folder, url, sealed: Backups::Sealed.new)
    @folder = folder
    @url = url
    @sealed = sealed
  end

  # @param version [Integer] which step the tables are at
  # @return [String] the file
  # @raise [Failure] and nothing was changed
  def make(version, now: Time.now)
    FileUtils.mkdir_p(@folder, mode: 0o700)
    file = File.join(@folder, "#{now.utc.strftime('%Y-%m-%d-%H%M%S')}-step-#{version}.dump")
    pg("pg_dump", "--format=custom", "--file=#{file}")
    File.chmod(0o600, file)
    let_go(now)
    @sealed.seal(file)
  end

  # @return [Array<String>] the oldest first
  def all = Dir[File.join(@folder, "*-step-*.dump{,.age}")]

  # As in a database that was just made, so that what the copy does not have is not there either.
  EMPTY = "DROP SCHEMA public CASCADE; CREATE SCHEMA public AUTHORIZATION pg_database_owner"
  private_constant :EMPTY

  # Puts everything back as it was in a copy; who may read and write is said anew when Rungs starts.
  # @raise [Failure] and nothing was changed
  def go_back(file)
    script = File.join(@folder, "going-back-#{Process.pid}.sql")
    @sealed.read(file) do |plain|
      pg("pg_restore", "--no-owner", "--no-privileges", "--file=#{script}", plain, database: false)
    end
    pg("psql", "--quiet", "--no-psqlrc", "--single-transaction", "--set=ON_ERROR_STOP=1", "--command=#{EMPTY}",
       "--file=#{script}")
  ensure
    FileUtils.rm_f(script)
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

  private

  def let_go(now)
    dated = all.to_h { |file| [file, Date.iso8601(File.basename(file)[0, 10])] }
    FileUtils.rm_f(dated.keys - Backups::Retention.stay(dated, now.to_date))
  end
end
