# frozen_string_literal: true

require "sequel"

Sequel.default_timezone = :utc
Sequel.application_timezone = :utc

ON_CONNECTING = ["SET statement_timeout = '15s'", "SET jit = off"].freeze

# The one database connection pool of this process: one for each request thread, one that listens for boards, one spare.
DB = Sequel.connect(ENV.fetch("DATABASE_URL") { abort "DATABASE_URL is not set. Start Rungs with bin/start." },
                    max_connections: Integer(ENV.fetch("RUNGS_THREADS", "3")) + 2, connect_timeout: 5,
                    connect_sqls: ON_CONNECTING)
DB.extension :pg_array, :pg_json
Sequel::Model.db = DB
Sequel::Model.plugin :association_dependencies
Sequel::Model.raise_on_save_failure = true

# The tables' own history, for bin/start and the tests.
module Database
  MIGRATIONS = File.expand_path("../db/migrations", __dir__)

  module_function

  def migrate
    Sequel.extension :migration
    DB.synchronize do
      DB.run("SET statement_timeout = 0")
      Sequel::Migrator.run(DB, MIGRATIONS)
    ensure
      DB.run("SET statement_timeout = '15s'")
    end
  end

  def migrated?
    Sequel.extension :migration
    Sequel::Migrator.is_current?(DB, MIGRATIONS)
  end
end
