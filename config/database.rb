# frozen_string_literal: true

require "sequel"
require "uri"
require_relative "read_with"
require_relative "spent"

Sequel.default_timezone = :utc
Sequel.application_timezone = :utc

ON_CONNECTING = ["SET statement_timeout = '15s'", "SET jit = off"].freeze
# Where a network fails without a word, a connection is given up after some seconds.
NO_WORD = { driver_options: { tcp_user_timeout: 5000, keepalives_idle: 5, keepalives_interval: 2,
                              keepalives_count: 3 } }.freeze
# A copy of the database that is kept up to date, which pages may be read from (RUNGS_STANDBY_URL).
STANDBY = ENV.fetch("RUNGS_STANDBY_URL", nil)&.then do |url|
  where = URI(url)
  { host: where.host, port: where.port, user: where.user, password: where.password, connect_timeout: 2,
    database: where.path.delete_prefix("/") }
end

# The one database connection pool of this process: one for each request thread, one that listens for boards, one spare.
DB = Sequel.connect(ENV.fetch("DATABASE_URL") { abort "DATABASE_URL is not set. Start Rungs with bin/start." },
                    max_connections: Integer(ENV.fetch("RUNGS_THREADS", "3")) + 2, connect_timeout: 5,
                    connect_sqls: ON_CONNECTING, **NO_WORD, **(STANDBY ? { servers: { standby: STANDBY } } : {}))
DB.extend Spent::Statements
DB.extension :pg_array, :pg_json
DB.extension :server_block if STANDBY
# What is told to boards is listened for at the database itself where all else goes through a pool of sessions.
LISTENING = ENV["RUNGS_LISTEN_URL"] ? Sequel.connect(ENV["RUNGS_LISTEN_URL"], max_connections: 1, **NO_WORD) : DB
Sequel.extension :pg_json_ops
Sequel::Model.db = DB
Sequel::Model.plugin :association_dependencies
Sequel::Model.raise_on_save_failure = true
Sequel::Model.include ReadWith

# The tables' own history, for bin/start and the tests. They are changed by the role that owns them (RUNGS_OWNER_URL);
# the application's own may only read and write rows.
module Database
  # Whoever holds this lock changes the tables.
  LOCK = 4602
  MIGRATIONS = File.expand_path("../db/migrations", __dir__)

  module_function

  # @yield [Sequel::Database]
  def as_owner
    owner = Sequel.connect(ENV.fetch("RUNGS_OWNER_URL") { ENV.fetch("DATABASE_URL") }, max_connections: 1)
    owner.extension :pg_array, :pg_json
    yield owner
  ensure
    owner&.disconnect
  end

  # A database that a newer version of Rungs has worked with.
  class Newer < StandardError; end

  # @yield [Integer, String] where something has to be done: the step its tables are at (0 where there are none), and
  #   the owner’s address
  # @raise [Newer]
  def migrate
    Sequel.extension :migration
    as_owner do |owner|
      owner.get(Sequel.function(:pg_advisory_lock, LOCK))
      there = step(owner)
      raise Newer, newer(there) if there > latest
      next if there == latest

      yield there, owner.uri if block_given?
      Sequel::Migrator.run(owner, MIGRATIONS)
    ensure
      hand_over(owner, DB.opts[:user]) unless DB.opts[:user] == owner.opts[:user]
    end
  end

  def latest = Dir[File.join(MIGRATIONS, "*.rb")].map { |file| File.basename(file).to_i }.max
  def step(database = DB) = database.table_exists?(:schema_info) ? database[:schema_info].get(:version) : 0

  def newer(there)
    "The tables are at step #{there} and this version of Rungs knows #{latest}: start the newer version, or go back " \
      "to a copy from before it (bin/rungs-admin go-back)."
  end

  def hand_over(owner, worker)
    owner.run("GRANT USAGE ON SCHEMA public TO #{worker}")
    owner.run("GRANT SELECT, INSERT, UPDATE, DELETE ON ALL TABLES IN SCHEMA public TO #{worker}")
    owner.run("GRANT USAGE ON ALL SEQUENCES IN SCHEMA public TO #{worker}")
  end
  private_class_method :hand_over, :newer
end
