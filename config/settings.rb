# frozen_string_literal: true

require "securerandom"
require "fileutils"

# How this server was started. Secrets are made on first start and kept in var/, never in the repository.
module Settings
  LOOPBACK = %w[127.0.0.1 localhost ::1].freeze

  module_function

  def var = ENV.fetch("RUNGS_VAR") { File.join(Rungs::ROOT, "var") }
  def host = ENV.fetch("RUNGS_HOST", "127.0.0.1")
  def loopback? = LOOPBACK.include?(host)

  # Seconds that a request may take.
  def deadline = Integer(ENV.fetch("RUNGS_DEADLINE", "20"))
  # Whether guessing is slowed; specs sign in more often than people.
  def paced? = ENV["RACK_ENV"] != "test" || ENV["RUNGS_PACED"] == "1"
  def https? = ENV["RUNGS_HTTPS"] == "1"

  # The one-press sign-in exists only for a server that was started with the demo class and listens on loopback.
  def demo_offer? = ENV["RUNGS_DEMO"] == "1" && loopback?

  # @return [String] 128 hexadecimal digits, the same on every start
  def session_secret = secret("session_secret") { SecureRandom.hex(64) }

  # Reads the secret of that name from var/, making it first where it is missing.
  def secret(name)
    file = File.join(var, "secrets", name)
    unless File.size?(file)
      FileUtils.mkdir_p(File.dirname(file), mode: 0o700)
      File.write(file, yield, perm: 0o600)
    end
    File.read(file)
  end
end
