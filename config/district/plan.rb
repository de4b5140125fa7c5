# frozen_string_literal: true

require "erb"
require "etc"
require "fileutils"
require "securerandom"

# What a district is made of and where each part of it is: what the files of this folder are filled in from.
class DistrictPlan
  # The ports of each kind, the first its own, and the files beside its unit.
  KINDS = {
    "etcd" => [{ "client" => 2379, "peer" => 2380 }, %w[etcd.yml]],
    "patroni" => [{ "database" => 5432, "rest" => 8008 }, %w[patroni.yml roles.sql]],
    "haproxy" => [{ "people" => 443, "primary" => 5000, "standby" => 5001, "metrics" => 9101 },
                  %w[haproxy.cfg moment.http]],
    "pgbouncer" => [{ "pool" => 6432 }, %w[pgbouncer.ini users.txt]],
    "server" => [{ "people" => 4600, "metrics" => 9460 }, %w[server.env]],
    "work" => [{}, %w[work.env]]
  }.freeze

  # One program on one machine; what is asked in the files is asked of it.
  Part = Struct.new(:plan, :kind, :name, :host, keyword_init: true) do
    def ports = KINDS.fetch(kind).first
    def files = [*KINDS.fetch(kind).last, "#{kind}.service"]
    def port(which = ports.keys.first) = plan.port(self, which)
    def address(which = ports.keys.first) = "#{host}:#{port(which)}"
    def secret(name) = plan.secret(name)

    # One of that kind on the same machine, where there is one.
    def near(kind) = plan.all(kind).find { |other| other.host == host } || plan.one(kind)

    # @param within [String, nil] a folder in its own
    def folder(within = nil) = [plan.folder, name, within].compact.join("/")
    def file(name) = "#{folder}/#{name}"

    # @param text [String] the name of a file here
    # @return [String] filled in
    def filled(text)
      template = File.join(__dir__, text)
      return File.read(template) unless File.exist?("#{template}.erb")

      ERB.new(File.read("#{template}.erb"), trim_mode: "-").result(binding)
    end
  end

  CONNECTIONS = 300
  # What every server is given the same of.
  SHARED = { "session_secret" => -> { SecureRandom.hex(64) }, "hmac_secret" => -> { SecureRandom.hex(32) },
             "invitation" => -> { SecureRandom.alphanumeric(10).downcase } }.freeze

  attr_reader :folder, :secrets, :backups, :people, :url, :networks, :parts

  # @param where [Hash{String => Hash{String => String}}] kind → name → host
  # @param said [Hash] folder, secrets, backups: paths on each machine; people: the name they reach it by; url; networks
  #   that the database answers to; workers of a server; checkout, where Rungs is
  # @yieldparam part [Part]
  # @yieldparam which [String] one of its ports
  # @yieldreturn [Integer] the port; the usual one where no block is given
  # @param secret [#call] name → what is kept under it
  def initialize(where, secret:, **said, &port)
    @secret, @port = secret, port
    @folder, @secrets, @backups = said.values_at(:folder, :secrets, :backups)
    @people, @url, @networks, @workers = said.values_at(:people, :url, :networks, :workers)
    @checkout = said[:checkout]
    @parts = where.flat_map do |kind, hosts|
      hosts.map { |name, host| Part.new(plan: self, kind: kind, name: name, host: host) }
    end
  end

  # Every file, in folders as they are on their machines, below another.
  # @yieldparam part [Part] once its own are there
  def write(below = "")
    FileUtils.mkdir_p(shared = File.join(below, secrets), mode: 0o700)
    SHARED.each { |name, made| write_once(File.join(shared, name)) { made.call } }
    parts.each do |part|
      FileUtils.mkdir_p(File.join(below, part.folder), mode: 0o700)
      part.files.each { |name| File.write(File.join(below, part.file(name)), part.filled(name), perm: 0o600) }
      yield part if block_given?
    end
  end

  def all(kind) = parts.select { |part| part.kind == kind }
  def one(kind) = all(kind).first
  def port(part, which) = @port ? @port.call(part, which) : part.ports.fetch(which)
  def secret(name) = @secret.call(name)
  def connections = CONNECTIONS
  def workers = @workers || Etc.nprocessors
  def checkout = @checkout ||= File.expand_path("../..", __dir__)
  def postgres = Dir["/usr/lib/postgresql/*/bin"].max

  # @return [String] the URL of a database, as the role that only reads and writes rows
  def database(address, name) = "postgres://rungs_app:#{secret('worker')}@#{address}/#{name}"
  def owner_url = "postgres://rungs:#{secret('owner')}@#{primary}/rungs"
  def superuser_url = "postgres://postgres:#{secret('superuser')}@#{primary}/postgres"
  def direct_url = database(primary, "rungs")

  private

  def primary = one("haproxy").address("primary")
  def write_once(file) = File.size?(file) || File.write(file, yield, perm: 0o600)
end
