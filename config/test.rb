# frozen_string_literal: true

# What bin/test runs once everything is installed: style, then all specs, file by file on twice as many processes as
# there are cores, since half of the time they wait for a browser; each with a database of its own.
require "bundler/setup"
require "etc"
require "fileutils"
require "open3"
require "simplecov"
require_relative "cluster"

# One run: of everything, or of the specs and options that are given.
class Tests
  LEAST_COVERED = 90
  # Two runs at once need a place each.
  VAR = ENV.fetch("RUNGS_TEST_VAR") { File.expand_path("../var/test", __dir__) }
  # How long each file takes, so that the processes end together. Made anew with
  #   bin/test spec --format ParallelTests::RSpec::RuntimeLogger --out spec/support/times.log
  TIMES = "spec/support/times.log"
  STYLE = { "rubocop" => %w[bundle exec rubocop --no-server --format quiet],
            "erb_lint" => %w[bundle exec erb_lint --lint-all --format compact] }.freeze
  # Only where the packages for building styles and scripts are installed; running Rungs needs none of them.
  LINT = { "eslint, prettier and stylelint" => %w[npm run lint] }.freeze

  def initialize(arguments)
    @specs, @options = arguments.partition { |argument| File.directory?(argument) || argument.include?("_spec.rb") }
  end

  # @return [Boolean] whether all is well
  def run
    whole = @specs.empty? && @options.empty?
    (!whole || tidy?) && passed? && (!whole || covered?)
  end

  private

  def tidy?
    checks = File.exist?("node_modules/.bin/eslint") ? STYLE.merge(LINT) : STYLE
    puts "#{checks.keys.join(', ')} …"
    checks.map { |name, command| Thread.new { clean?(name, *command) } }.map(&:value).all?
  end

  def clean?(name, *command)
    said, status = Open3.capture2e(*command)
    puts said, "#{name} found something to mend." unless status.success?
    status.success?
  end

  def passed?
    FileUtils.rm_rf(File.join(VAR, "coverage"))
    cluster = Cluster.new(File.join(VAR, "postgres"), fast: true)
    databases.each { |database| cluster.start(database) }
    urls = { "DATABASE_URL" => cluster.url("rungs_test"), "RUNGS_OWNER_URL" => cluster.owner_url("rungs_test") }
    system({ "RACK_ENV" => "test", "RUNGS_DEMO" => "1", "RUNGS_VAR" => VAR, **urls }, *command)
  rescue Cluster::Failure => e
    warn "", e.message
  ensure
    cluster.stop
  end

  # Single files run one after the other, folders side by side.
  def apart? = @specs.none? { |spec| File.file?(spec[/\A[^:\[]+/]) }
  def processes = Etc.nprocessors * 2
  def databases = (1..processes).map { |number| number == 1 ? "rungs_test" : "rungs_test#{number}" }

  def command
    return ["bundle", "exec", "rspec", *@options, *@specs] unless apart?

    ["bundle", "exec", "parallel_rspec", "-n", processes.to_s, "--group-by", "runtime", "--runtime-log", TIMES,
     "--exclude-pattern", "spec/district/", "--test-options", @options.join(" "), *(@specs.empty? ? ["spec"] : @specs)]
  end

  # Says the share of lines that ran, and which files have too few.
  def covered?
    files = [File.join(VAR, "coverage/.resultset.json")]
    result = SimpleCov::ResultMerger.merge_results(*files, ignore_timeout: true)
    low = result.files.select { |file| file.covered_percent < 80 }.map(&:project_filename)
    puts "Lines covered: #{result.covered_percent.round(1)} %#{"; under 80 %: #{low.join(', ')}" if low.any?}"
    result.covered_percent >= LEAST_COVERED || warn("#{LEAST_COVERED} % are asked for.")
  end
end

$stdout.sync = true
exit Tests.new(ARGV).run ? 0 : 1
