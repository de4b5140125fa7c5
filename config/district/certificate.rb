# frozen_string_literal: true

require "openssl"

# A certificate that this machine makes for itself, for a year; made anew in its last month.
module Certificate
  MONTH = 30 * 86_400

  module_function

  # @param file [String] where it is kept, with its key
  # @param host [String] an address
  def write(file, host)
    return if File.size?(file) && OpenSSL::X509::Certificate.new(File.read(file)).not_after > Time.now + MONTH

    key = OpenSSL::PKey::RSA.new(2048)
    File.write(file, made(key, host).to_pem + key.to_pem, perm: 0o600)
  end

  def made(key, host)
    name = OpenSSL::X509::Name.parse("/CN=#{host}")
    certificate = OpenSSL::X509::Certificate.new
    certificate.version, certificate.serial, certificate.public_key = 2, rand(1 << 64), key.public_key
    certificate.subject, certificate.issuer = name, name
    certificate.not_before, certificate.not_after = Time.now - 60, Time.now + (12 * MONTH)
    extension = OpenSSL::X509::ExtensionFactory.new.create_extension("subjectAltName", "IP:#{host}")
    certificate.add_extension(extension)
    certificate.sign(key, OpenSSL::Digest.new("SHA256"))
  end
  private_class_method :made
end
