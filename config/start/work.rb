# frozen_string_literal: true

# What bin/serve work runs.
require_relative "../boot"
require_relative "../in_use"
$stdout.sync = true
LOADER.eager_load
trap("TERM") { exit! }
InUse.hold
Jobs::Worker.new.run
