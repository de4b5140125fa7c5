# frozen_string_literal: true

# What bin/test runs once everything is installed: style, then all specs with a database of their own.
require "bundler/setup"
require "open3"
require_relative "cluster"

LEAST_COVERED = 90
$stdout.sync = true

def check(name, *command)
  puts "#{name} …"
  said, status = Open3.capture2e(*command)
  abort "#{said}\n#{name} found something to mend." unless status.success?
end

if ARGV.empty?
  check("rubocop", "bundle", "exec", "rubocop", "--no-server", "--format", "quiet")
  # Only where the packages for building styles and scripts are installed; running Rungs needs none of them.
  check("eslint, prettier and stylelint", "npm", "run", "lint") if File.exist?("node_modules/.bin/eslint")
  check("erb_lint", "bundle", "exec", "erb_lint", "--lint-all", "--format", "compact")
end

cluster = Cluster.new(File.expand_path("../var/test/postgres", __dir__), fast: true)
begin
  url = cluster.start("rungs_test") { |step| puts step }
  environment = { "RACK_ENV" => "test", "DATABASE_URL" => url, "RUNGS_DEMO" => "1",
                  "RUNGS_VAR" => File.expand_path("../var/test", __dir__) }
  passed = system(environment, "bundle", "exec", "rspec", *ARGV)
rescue Cluster::Failure => e
  warn "", e.message
ensure
  cluster.stop
end
exit 1 unless passed
exit 0 if ARGV.any?

covered = File.read(File.join(environment["RUNGS_VAR"], "coverage")).to_f
if covered < LEAST_COVERED
  abort "\nOnly #{covered.round(1)} % of the lines are covered; #{LEAST_COVERED} % are asked for."
end
