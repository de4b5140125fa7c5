# frozen_string_literal: true

# Specs of the core need nothing but the core; the others require app_helper or journey_helper.
# Of the processes that run side by side each has a database of its own.
if ENV["DATABASE_URL"]
  number = ENV.fetch("TEST_ENV_NUMBER", "")
  %w[DATABASE_URL RUNGS_OWNER_URL].each { |name| ENV[name] += number }
  require_relative "lines_that_ran"
  LinesThatRan.watch("specs#{number}")
end

require_relative "../lib/rungs"
Dir[File.join(__dir__, "support", "*.rb")].each { |file| require file }

RSpec.configure do |config|
  config.disable_monkey_patching!
  # bin/test leaves out what is too long for every change, bin/test deep runs that alone; what is named runs whole.
  config.filter_run_excluding :deep if ENV["RUNGS_TESTS"] == "usual"
  config.filter_run_including :deep, :seeds if ENV["RUNGS_TESTS"] == "deep"
  config.order = :random
  Kernel.srand config.seed
  config.expect_with(:rspec) { |expectations| expectations.syntax = :expect }
  config.mock_with(:rspec) { |mocks| mocks.verify_partial_doubles = true }
end
