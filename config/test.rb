# frozen_string_literal: true

# What bin/test runs once everything is installed: style, then specs, file by file on twice as many processes as
# there are cores, since half of the time they wait for a browser; each with a database of its own.
require "bundler/setup"
require "etc"
require "fileutils"
require "open3"
require "simplecov"
require_relative "cluster"

# One run: of what every change passes, of all that is too long for that, or of the specs and options that are given.
class Tests
  LEAST_COVERED = 90
  # Two runs at once need a place each.
  VAR = ENV.fetch("RUNGS_TEST_VAR") { File.expand_path("../var/test", __dir__) }
  # How long each file takes, so that the processes end together: as the last run here kept it, else as it was once.
  OWN_TIMES = { "usual" => File.join(VAR, "times.log"), "deep" => File.join(VAR, "times-deep.log") }.freeze
  TIMES = "spec/support/times.log"
  STYLE = { "rubocop" => %w[bundle exec rubocop --no-server --format quiet],
            "erb_lint" => %w[bundle exec erb_lint --lint-all --format compact] }.freeze
  # Only where the packages for building styles and scripts are installed; running Rungs needs none of them.
  LINT = { "eslint, prettier and stylelint" => %w[npm run lint] }.freeze
  # Tables and the demo class, laid out once; each process gets a copy.
  TEMPLATE = "rungs_template"

  def initialize(arguments)
    @deep = arguments.first == "deep"
    arguments = arguments.drop(1) if @deep
    @specs, @options = arguments.partition { |argument| File.directory?(argument) || argument.include?("_spec.rb") }
    @whole = @specs.empty? && @options.empty?
  end

  # @return [Boolean] whether all is well
  def run
    began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    well = passed? && (!usual? || covered?)
    puts format("%.0f s in all.", Process.clock_gettime(Process::CLOCK_MONOTONIC) - began)
    well
  end

  private

  def usual? = @whole && !@deep

  # What of the specs is run: those that are named run whole.
  def depth
    return ENV["RUNGS_TESTS"] if ENV.key?("RUNGS_TESTS")
    return "deep" if @deep

    @whole ? "usual" : "named"
  end

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
    FileUtils.rm_rf(%w[coverage looked].map { |kept| File.join(VAR, kept) })
    ready? && system(environment("rungs_test"), *command)
  rescue Cluster::Failure => e
    warn "", e.message
  ensure
    cluster.stop
  end

  # Style is looked at while the database is laid out.
  def ready?
    style = Thread.new { !usual? || tidy? }
    [lay_out, style.value].all?
  end

  def cluster = @cluster ||= Cluster.new(File.join(VAR, "postgres"), fast: true)

  def lay_out
    cluster.start(TEMPLATE)
    return false unless system(environment(TEMPLATE), RbConfig.ruby, "spec/programs/lay_out.rb")

    databases.each { |database| cluster.copy(TEMPLATE, database) }
  end

  def environment(database)
    { "RACK_ENV" => "test", "RUNGS_DEMO" => "1", "RUNGS_VAR" => VAR, "RUNGS_TESTS" => depth,
      "DATABASE_URL" => cluster.url(database), "RUNGS_OWNER_URL" => cluster.owner_url(database) }
  end

  # Single files run one after the other, folders side by side.
  def apart? = @specs.none? { |spec| File.file?(spec[/\A[^:\[]+/]) }
  def processes = Etc.nprocessors * 2
  def databases = (1..processes).map { |number| number == 1 ? "rungs_test" : "rungs_test#{number}" }

  def command
    return ["bundle", "exec", "rspec", *@options, *@specs] unless apart?

    ["bundle", "exec", "parallel_rspec", "-n", processes.to_s, "--group-by", "runtime", "--runtime-log", times,
     "--allowed-missing", "100", "--exclude-pattern", "spec/district/", "--test-options", options.join(" "),
     *(@specs.empty? ? ["spec"] : @specs)]
  end

  def times = [*OWN_TIMES[depth], *OWN_TIMES["usual"], TIMES].find { |file| File.exist?(file) }

  def options
    return @options unless @whole

    ["--format", "progress", "--format", "ParallelTests::RSpec::RuntimeLogger", "--out", OWN_TIMES.fetch(depth)]
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
