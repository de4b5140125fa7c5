# frozen_string_literal: true

# What bin/serve work runs.
require_relative "../boot"
$stdout.sync = true
LOADER.eager_load
trap("TERM") { exit! }
Jobs::Worker.new.run
