# frozen_string_literal: true

# Specs of the core need nothing but the core; the others require app_helper or journey_helper.
if ENV["DATABASE_URL"]
  require "simplecov"
  SimpleCov.start do
    enable_coverage :line
    add_filter %w[/spec/ /vendor/]
    track_files "{lib,app,db/demo}/**/*.rb"
    formatter SimpleCov::Formatter::SimpleFormatter
  end
  SimpleCov.at_exit {} # told below, before RSpec's closing line
end

require_relative "../lib/rungs"
Dir[File.join(__dir__, "support", "*.rb")].each { |file| require file }

RSpec.configure do |config|
  config.disable_monkey_patching!
  config.order = :random
  Kernel.srand config.seed
  config.expect_with(:rspec) { |expectations| expectations.syntax = :expect }
  config.mock_with(:rspec) { |mocks| mocks.verify_partial_doubles = true }
  if defined?(SimpleCov)
    config.after(:suite) do
      low = SimpleCov.result.files.select { |file| file.covered_percent < 80 }.map(&:project_filename)
      puts "\n\nLines covered: #{SimpleCov.result.covered_percent.round(1)} " \
           "%#{"; under 80 %: #{low.join(', ')}" if low.any?}"
      File.write(File.join(ENV.fetch("RUNGS_VAR"), "coverage"), SimpleCov.result.covered_percent.to_s)
    end
  end
end
