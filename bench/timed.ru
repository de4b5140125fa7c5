# frozen_string_literal: true

# The application as it is served, saying in each answer how long it took (x-runtime, seconds).
require "rack/runtime"
use Rack::Runtime
run Rack::Builder.parse_file(File.expand_path("../config.ru", __dir__))
