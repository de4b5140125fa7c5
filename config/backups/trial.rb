# frozen_string_literal: true

class Backups
  # A copy is tried: restored into a database beside, and counted.
  module Trial
    private

    def counted(db) = db.tables(schema: :public).sort.to_h { |table| [table, db[Sequel[:public][table]].count] }

    def try(file, counts)
      found = in_trial_database { |url| restored(file, url) }
      return if found == counts

      off = counts.keys.find { |table| found[table] != counts[table] }
      raise Failure, "The copy was tried and is not complete: #{off} has #{found[off].to_i} of #{counts[off]} rows."
    end

    # Into an empty database.
    def restored(file, url)
      tools = Copies.new(@folder, url, sealed: @sealed)
      tools.pg("pg_restore", "--no-owner", "--no-privileges", "--exit-on-error", file)
      connected(url) { |db| counted(db) }
    end

    # A database of its own for a while.
    # @yield [String] its address
    def in_trial_database
      name = "rungs_trial_#{Process.pid}"
      connected { |db| db.run("CREATE DATABASE #{name}") }
      yield @url.sub(%r{/[^/?]+(?=\?|\z)}, "/#{name}")
    rescue Sequel::DatabaseError => e
      raise Failure, "The copy could not be tried: #{e.message.lines.first.strip}."
    ensure
      connected { |db| db.run("DROP DATABASE IF EXISTS #{name} WITH (FORCE)") }
    end
  end
end
