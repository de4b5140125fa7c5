# frozen_string_literal: true

# Loads the application: gems, core, words, database, and the rooms under app/ by their names.
ENV["BUNDLE_GEMFILE"] ||= File.expand_path("../Gemfile", __dir__)
require "bundler/setup"
require "zeitwerk"

module Rungs
  ROOT = File.expand_path("..", __dir__)
end

require_relative "../lib/rungs"
require_relative "drain"
require_relative "ending"
require_relative "log"
require_relative "metrics"
require_relative "settings"
require_relative "database"
require_relative "words"

LOADER = Zeitwerk::Loader.new
LOADER.inflector.inflect("all" => "ALL")
LOADER.push_dir(File.join(Rungs::ROOT, "app"))
LOADER.push_dir(File.join(Rungs::ROOT, "db"))
LOADER.ignore(File.join(Rungs::ROOT, "app/assets"), File.join(Rungs::ROOT, "db/migrations"))
LOADER.setup
