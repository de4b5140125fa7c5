# frozen_string_literal: true

require "etc"
require "securerandom"
require "socket"

# Where a private cluster or a district lives (in @folder), and what it remembers there: its port, its passwords, each
# in a file that only its owner reads.
module OwnPlace
  private

  def root? = Process.uid.zero?

  # The server's own folder. Where root's checkout lies in a folder that the user postgres may not enter, it is
  # kept under that user's home instead, under a name that belongs to this checkout alone.
  def data = @data ||= File.join(reachable? ? @folder : outside, "data")
  def outside = File.join(Etc.getpwnam("postgres").dir, "rungs-#{remembered('place') { SecureRandom.hex(6) }}")

  def reachable?
    !root? || system("runuser", "-u", "postgres", "--", "test", "-x", @folder, out: File::NULL, err: File::NULL)
  end

  def secret(name) = remembered(name) { SecureRandom.hex(24) }
  def port = Integer(remembered("port") { free_port })

  def remembered(name)
    file = File.join(@folder, name)
    remember(name, yield) unless File.size?(file)
    File.read(file)
  end

  def remember(name, value) = File.write(File.join(@folder, name), value.to_s, perm: 0o600)

  def free_port
    server = TCPServer.new("127.0.0.1", 0)
    server.addr[1].tap { server.close }
  end

  def free?(port)
    TCPServer.new("127.0.0.1", port).close
    true
  rescue Errno::EADDRINUSE
    false
  end
end
