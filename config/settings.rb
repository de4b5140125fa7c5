# frozen_string_literal: true

require "securerandom"
require "fileutils"
require "ipaddr"
require "socket"
require_relative "mail_box"

# How this server was started. Secrets are made on first start and kept in var/, never in the repository; several
# servers of one database are given the same (RUNGS_SECRETS, a folder).
module Settings
  # The largest file, in bytes, that comes in, and that a class goes out as.
  LARGEST_FILE = 300 * (1024**2)
  LOOPBACK = %w[127.0.0.1 localhost ::1].freeze

  module_function

  def var = ENV.fetch("RUNGS_VAR") { File.join(Rungs::ROOT, "var") }
  def host = ENV.fetch("RUNGS_HOST", "127.0.0.1")
  def loopback? = LOOPBACK.include?(host)

  # The names that are answered to: this machine's own, what it listens on, and what RUNGS_HOSTS names.
  # @return [Array<String>]
  def hosts
    own = loopback? ? [] : [host, *Socket.ip_address_list.map(&:ip_address)]
    [*LOOPBACK, *own, *ENV.fetch("RUNGS_HOSTS", "").split(/[,\s]+/)].uniq
  end

  def proxy? = ENV["RUNGS_PROXY"] == "1"

  # Seconds that a request may take.
  def deadline = Integer(ENV.fetch("RUNGS_DEADLINE", "20"))
  # Whether guessing is slowed; specs sign in more often than people.
  def paced? = ENV["RACK_ENV"] != "test" || ENV["RUNGS_PACED"] == "1"

  # Whether many people come from that address: one of the networks that RUNGS_TRUSTED_NETWORKS names ("10.0.0.0/8,
  # 192.168.4.0/24").
  def trusted?(address)
    networks = ENV.fetch("RUNGS_TRUSTED_NETWORKS", "").split(/[,\s]+/)
    networks.any? { |network| IPAddr.new(network).include?(IPAddr.new(address)) }
  rescue IPAddr::Error
    false
  end

  def https? = ENV["RUNGS_HTTPS"] == "1"

  # Where people reach this server, for links in letters: never what a request says of itself.
  def url = ENV.fetch("RUNGS_URL") { "http#{'s' if https?}://#{host}:#{ENV.fetch('RUNGS_PORT', '4600')}" }.chomp("/")

  # @return [MailBox, nil] nil where no mail can be sent
  def mail = ENV.fetch("MAIL_URL", nil) && MailBox.new(ENV.fetch("MAIL_URL", nil))

  FORWARDED = %w[HTTP_FORWARDED HTTP_X_FORWARDED_FOR HTTP_X_FORWARDED_HOST HTTP_X_REAL_IP HTTP_VIA].freeze
  private_constant :FORWARDED

  # The one-press sign-in exists only for a server that was started with the demo class and listens on loopback, and
  # for no request that came through a proxy.
  # @param env [Hash] of the request
  def demo_offer?(env = {}) = ENV["RUNGS_DEMO"] == "1" && loopback? && FORWARDED.none? { |name| env.key?(name) }

  # @return [String] 128 hexadecimal digits, the same on every start
  def session_secret = secret("session_secret") { SecureRandom.hex(64) }

  # What somebody needs to make an account where others can reach the server; nil where nobody else can.
  def invitation = loopback? ? nil : secret("invitation") { SecureRandom.alphanumeric(10).downcase }

  # Reads the secret of that name, making it first where it is missing.
  def secret(name)
    file = File.join(ENV.fetch("RUNGS_SECRETS") { File.join(var, "secrets") }, name)
    unless File.size?(file)
      FileUtils.mkdir_p(File.dirname(file), mode: 0o700)
      File.write(file, yield, perm: 0o600)
    end
    File.read(file)
  end
end
