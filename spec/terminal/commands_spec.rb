# frozen_string_literal: true

require "bundler"
require "open3"
require "tmpdir"

# Every command that the README names, where bin/start alone was run: with the gems it installs, and no others.
RSpec.describe "The commands" do
  let(:root) { File.expand_path("../..", __dir__) }
  let(:folder) { Dir.mktmpdir("rungs-commands").tap { |made| File.chmod(0o755, made) } }
  let(:environment) do
    gone = ENV.keys.grep(/\A(BUNDLE|RUBY|GEM_|DATABASE_URL|RUNGS_|RACK_ENV|TEST_ENV)/).to_h { |name| [name, nil] }
    { **gone, "BUNDLE_PATH" => gems_of_start, "BUNDLE_APP_CONFIG" => File.join(folder, "no-config"),
              "BUNDLE_GEMFILE" => File.join(root, "Gemfile"), "BENCH_SMALL" => "1",
              "BENCH_FOLDER" => File.join(folder, "bench") }
  end

  after { FileUtils.rm_rf(folder) }

  # What bin/start installs, as links to what is here.
  def gems_of_start
    all = Bundler.definition
    there = Bundler.bundle_path
    made = File.join(folder, "bundle", *there.each_filename.to_a.last(2))
    names = all.specs_for(all.groups - [:test]).map(&:full_name)
    { "gems" => "", "specifications" => ".gemspec",
      "extensions/#{Gem::Platform.local}/#{Gem.extension_api_version}" => "" }
      .each do |kind, ending|
        FileUtils.mkdir_p(File.join(made, kind))
        names.each do |name|
          file = there.join(kind, "#{name}#{ending}")
          File.symlink(file, File.join(made, kind, "#{name}#{ending}")) if file.exist?
        end
      end
    File.join(folder, "bundle")
  end

  def said(*command)
    bounded = ["timeout", "--kill-after=5", "180", *command]
    said, status = Open3.capture2e(environment, *bounded, chdir: root, binmode: true)
    [status.exitstatus, said]
  end

  it "stand in the README as they are" do
    named = File.read(File.join(root, "README.md")).scan(%r{\bbin/[a-z-]+}).uniq
    expect(named).to match_array(%w[bin/start bin/test bin/rungs bin/rungs-admin bin/bench bin/district])
    expect(named.map { |file| File.executable?(File.join(root, file)) }).to all(be(true))
  end

  it "work with what bin/start installed" do
    { %w[bin/start --help] => /set up and run Rungs/, %w[bin/rungs --help] => %r{bin/rungs},
      %w[bin/rungs-admin --help] => /keeps this machine/,
      %w[bin/rungs sheet practice --activity twins --seed 3] => /\A%PDF/n,
      %w[bin/rungs sheet cutouts --kind dominoes] => /\A%PDF/n }.each do |command, words|
      status, text = said(*command)
      expect([command, status, text.b[0, 400]]).to match([command, 0, words])
    end
  end

  # All but what needs the packages of a district, which bin/test district tries.
  it "measure, each at its smallest, so that none can rot", :deep do
    suites = File.read(File.join(root, "bin/bench"))[/^SUITES = %w\[(.*?)\]/, 1].split
    (suites - %w[district]).each do |suite|
      status, text = said("bin/bench", suite)
      expect([suite, status, text]).to match([suite, 0, /\d/])
    end
  end
end
