# frozen_string_literal: true

# Lays out the database that each process of a run gets a copy of: tables as they are now, and the demo class as of the
# settled Tuesday.
require_relative "../../config/boot"
require_relative "../settled_clock"

Database.as_owner { |owner| owner.run("DROP SCHEMA public CASCADE; CREATE SCHEMA public") }
Database.migrate
Demo::School.load(day: Date.today)
